import type { PlanterSummary } from '@huerta/contract';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useMemo, useRef, useState } from 'react';
import { useDrawings } from '../../data/api/planters';
import { GardenEntry } from './GardenEntry';
import { rowScales } from './rowScale';

/** Height of a drawing on the ledge, pixels. */
const TALL = 216;
/** Least width of an entry where several stand side by side, pixels. */
const LEAST_WIDE = 272;
/** From this width on they stand side by side, pixels. */
const WIDE = 768;
/** Up to so many all are in the page, for the browser's own search; of more only what is near to sight. */
const ALL = 80;

interface LedgeProps {
  entries: readonly PlanterSummary[];
  by: string;
  /** Which are chosen, while some are being chosen. */
  chosen: ReadonlySet<string> | null;
  onChoose(id: string): void;
}

/** Planters side by side, a row at one scale; those far out of sight are left out. */
export function Ledge({ entries, by, chosen, onChoose }: LedgeProps) {
  const list = useRef<HTMLDivElement>(null);
  const [{ columns, top, wide }, setPlace] = useState({ columns: 1, top: 0, wide: false });
  useLayoutEffect(() => {
    const box = list.current;
    if (!box) return undefined;
    const look = () => {
      const { width } = box.getBoundingClientRect();
      const beside = window.innerWidth >= WIDE;
      setPlace({
        columns: beside ? Math.max(Math.floor(width / LEAST_WIDE), 1) : 1,
        top: box.offsetTop,
        wide: beside,
      });
    };
    look();
    const watch = new ResizeObserver(look);
    watch.observe(box);
    return () => watch.disconnect();
  }, []);
  const rows = useMemo(
    () =>
      Array.from({ length: Math.ceil(entries.length / columns) }, (_, i) =>
        entries.slice(i * columns, (i + 1) * columns),
      ),
    [entries, columns],
  );
  const virtual = useWindowVirtualizer({
    count: rows.length,
    estimateSize: () => (columns > 1 ? 450 : 190),
    overscan: entries.length <= ALL ? ALL : 3,
    scrollMargin: top,
    getItemKey: (i) => rows[i]?.map(({ id }) => id).join() ?? i,
  });
  return (
    <div
      ref={list}
      role="list"
      aria-label="Planters"
      style={{ position: 'relative', height: virtual.getTotalSize() }}
    >
      {virtual.getVirtualItems().map(({ index, key, start }) => (
        <div
          key={key}
          ref={virtual.measureElement}
          data-index={index}
          className="garden-row"
          style={{
            gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))`,
            transform: `translateY(${start - top}px)`,
          }}
        >
          <Row
            entries={rows[index] ?? NO_ENTRIES}
            {...{ by, wide, chosen, onChoose }}
            still={!virtual.isScrolling}
          />
        </div>
      ))}
    </div>
  );
}

const NO_ENTRIES: readonly PlanterSummary[] = [];

interface RowProps extends LedgeProps {
  wide: boolean;
  /** Whether the wall stands still: what flies past is not drawn. */
  still: boolean;
}

/** Those that stand side by side, drawn when all their drawings are there. */
function Row({ entries, by, wide, chosen, onChoose, still }: RowProps) {
  const [near, setNear] = useState(still);
  if (still && !near) setNear(true);
  const drawings = useDrawings(entries, by, near);
  const scales = rowScales(drawings, TALL);
  return entries.map((entry, i) => (
    <GardenEntry
      key={entry.id}
      entry={entry}
      drawing={drawings[i] ?? null}
      scale={scales[i]?.scale ?? 1}
      told={scales[i]?.told ?? false}
      height={TALL}
      wide={wide}
      chosen={chosen ? chosen.has(entry.id) : null}
      onChoose={onChoose}
    />
  ));
}
