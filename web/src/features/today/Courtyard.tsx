import type { PlanterResource } from '@huerta/contract';
import { Fragment, useMemo, useState } from 'react';
import type { Round } from '../../compute/roundStates';
import { useSize } from '../../ui/useSize';
import { CourtyardPlanter } from './CourtyardPlanter';
import { ledgesOf, NARROW, rowsOf, type LedgeLayout, type Place } from './ledges';

interface CourtyardProps {
  /** In the order of the walk. */
  planters: readonly PlanterResource[];
  round: Round;
  label: string;
  /** Whether drawings are made. */
  draws: boolean;
}

/** Before anything is laid out, pixels. */
const USUAL = 1024;

/** Planters side by side on their ledges, as one walks past them; on a phone below each other. */
export function Courtyard({ planters, round, label, draws }: CourtyardProps) {
  const [frame, { width: laidOut }] = useSize();
  const width = laidOut || USUAL;
  const [open, setOpen] = useState<string | null>(null);
  const onLedges = useMemo(
    () => (width < NARROW ? null : ledgesOf(planters, width)),
    [planters, width],
  );
  const ledges: readonly LedgeLayout[] =
    onLedges ??
    rowsOf(planters, ({ id }) => {
      const wants = round[id]?.wants;
      return id === open || wants === 'now' || wants === 'look';
    });
  return (
    <div ref={frame} className="courtyard">
      {ledges.map(({ form, scale, height, places }, at) => (
        <Fragment key={places[0]?.planter.id}>
          {form === 'ledge' && <p className="ledge-places">{placesOf(places)}</p>}
          <ul
            className={`round is-${form}`}
            style={{ backgroundPositionY: height }}
            aria-label={ledges.length > 1 ? `${label}, ${at + 1}` : label}
          >
            {places.map((place, i) => (
              <CourtyardPlanter
                key={place.planter.id}
                {...place}
                {...{ form, scale, height, draws }}
                state={round[place.planter.id]}
                named={form === 'ledge' && i === 0}
                onOpen={setOpen}
              />
            ))}
          </ul>
        </Fragment>
      ))}
    </div>
  );
}

/** Where the planters of a ledge stand, each place once. */
const placesOf = (places: readonly Place[]): string =>
  [...new Set(places.map(({ planter }) => planter.design.place.name))].filter(Boolean).join(' · ');
