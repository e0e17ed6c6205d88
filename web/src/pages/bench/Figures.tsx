import { cautiousDays, type QuantityKind } from '@huerta/core';
import { useWords } from '../../app/preferences';
import { useBench } from './bench';

interface Figure {
  label: string;
  value: number;
  kind: QuantityKind;
  small: string;
}

/** The four figures that matter, to be read at arm's length. */
export function Figures({ compact }: { compact: boolean }) {
  const { assessment, design } = useBench();
  const { parts, write } = useWords();
  const { figures } = assessment;
  const { lastsHot, lastsMild, weight } = figures;
  const list: Figure[] = [
    {
      label: 'Water to use',
      value: figures.usable,
      kind: 'volume',
      small:
        figures.stranded > 1e-5
          ? `holds ${write(figures.gross, 'volume')}, ${write(figures.stranded, 'volume')} too slow or too low`
          : 'all that it holds',
    },
    {
      label: compact ? 'Hot days' : 'Lasts, hot days',
      value: cautiousDays(lastsHot.days),
      kind: 'days',
      small: Number.isFinite(lastsMild.days)
        ? `${write(cautiousDays(lastsHot.reservoirDays), 'days')} from the reservoir; mild ${write(cautiousDays(lastsMild.days), 'days')}`
        : 'nothing drinks from it',
    },
    {
      label: 'Root room',
      value: figures.growingDepth,
      kind: 'span',
      small: `${write(figures.soilVolume, 'volume')} of mix`,
    },
    {
      label: 'Weighs full',
      value: weight.full,
      kind: 'mass',
      small: `${write(weight.pressure, 'pressure')} on its floor`,
    },
  ];
  return (
    <dl
      className={compact ? 'figures is-compact' : 'figures'}
      aria-label={`Figures of ${design.name}`}
    >
      {list.map(({ label, value, kind, small }) => {
        const written = parts(value, kind);
        return (
          <div key={label}>
            <dt>{label}</dt>
            <dd className="figure-large">
              {written.number}
              <span className="figure-unit">{written.symbol}</span>
            </dd>
            {!compact && <dd className="figure-small">{small}</dd>}
          </div>
        );
      })}
    </dl>
  );
}
