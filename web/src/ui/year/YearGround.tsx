import { frostsAlong, share, type Span, type Strip } from './strip';

/** What runs through all rows of a year: where it freezes, and the day that is read. */
export function YearGround({
  strip,
  frostFree,
  day,
}: {
  strip: Strip;
  frostFree: Span | null;
  day?: string | undefined;
}) {
  return (
    <>
      {frostFree &&
        frostsAlong(strip, frostFree).map((one) => (
          <span
            key={one.from}
            className="year-frost"
            style={{
              left: `${share(strip, one.from)}%`,
              width: `${share(strip, one.to) - share(strip, one.from)}%`,
            }}
          />
        ))}
      {day !== undefined && (
        <span className="year-now" style={{ left: `${share(strip, day)}%` }} aria-hidden />
      )}
    </>
  );
}
