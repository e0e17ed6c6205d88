import { Box } from '@chakra-ui/react';
import {
  cautiousDays,
  likePeople,
  reportOf,
  SHOWN,
  type Figures as PlanterFigures,
  type ReportId,
} from '@huerta/core/assessment';
import type { LineShare, WaterLine } from '@huerta/core/document';
import { q, say } from '@huerta/core/units';
import { useParams } from 'react-router';
import { useLineOf } from '../../data/api/round';
import { useWords } from '../../ui/preferences';
import { useEditor } from './editorState';

/** A number of more characters than this is written smaller, so that it stays in its column. */
const LONG = 5;

type Write = ReturnType<typeof useWords>['write'];
type Tell = ReturnType<typeof useWords>['tell'];

interface Told {
  figures: PlanterFigures;
  share: LineShare | null;
  /** The line that it is joined to. */
  line: WaterLine | undefined;
}

/** What is said below two of the figures of a planter's water. */
function waterSaid(
  { figures, share, line }: Told,
  { write, tell }: { write: Write; tell: Tell },
): Record<'usable' | 'lastsHot', string> {
  const { lastsHot, lastsMild, standing, stranded, gross } = figures;
  const days = (value: number) => write(cautiousDays(value), 'days');
  if (share && line?.supply.kind === 'mains')
    return {
      usable: `${write(standing, 'volume')} in it, kept there by the mains`,
      lastsHot: 'kept full as long as the mains run',
    };
  const joined = share ? 'with what is joined: ' : line ? 'by itself: ' : '';
  return {
    usable: share
      ? tell(say`${q(standing, 'volume')} in it, ${q(share.volume, 'volume')} through its hose`)
      : stranded > 1e-5
        ? tell(say`holds ${q(gross, 'volume')}, ${q(stranded, 'volume')} too slow or too low`)
        : 'all that it holds',
    lastsHot: Number.isFinite(lastsMild.days)
      ? `${joined}plants go short after ${days(lastsHot.short)}; when mild ${days(lastsMild.days)} and ${days(lastsMild.short)}`
      : 'nothing drinks from it',
  };
}

/** The figures that the mains leave without an end, as they are written; null where they are numbers. */
function withoutEnd({ figures, share, line }: Told, id: ReportId, write: Write): string | null {
  if (!share || line?.supply.kind !== 'mains') return null;
  if (id === 'usable') return write(figures.standing, 'volume');
  return id === 'lastsHot' ? 'no end' : null;
}

/** The four figures that matter, to be read at arm's length. */
export function Figures({ compact }: { compact: boolean }) {
  const { assessment, design, planter } = useEditor();
  const { parts, write, tell } = useWords();
  const { figures } = assessment;
  const { id = '' } = useParams();
  const told = { figures, share: planter.share, line: useLineOf(id) };
  const small: Partial<Record<ReportId, string>> = {
    ...waterSaid(told, { write, tell }),
    growingDepth: `${write(figures.soilVolume, 'loose')} of mix`,
    weightFull: tell(
      say`${q(figures.weight.pressure, 'pressure')} on its floor${likePeople(figures.weight.pressure)}`,
    ),
  };
  return (
    <dl
      className={compact ? 'figures is-compact' : 'figures'}
      aria-label={`Figures of ${design.name}`}
    >
      {reportOf(figures, SHOWN.headline).map(({ id: figure, label, short, value, kind }) => {
        const endless = withoutEnd(told, figure, write);
        const written = endless ? { number: endless, symbol: '' } : parts(value ?? 0, kind);
        const long = written.number.length > LONG;
        return (
          <div key={figure}>
            <dt>{compact ? short : label}</dt>
            <dd className={long ? 'figure-large is-long' : 'figure-large'}>
              {written.number}
              <span className="figure-unit">{written.symbol}</span>
            </dd>
            {!compact && <dd className="figure-small">{small[figure]}</dd>}
          </div>
        );
      })}
    </dl>
  );
}

/** The same in a sentence, for those who hear it: said when a line has come to rest. */
export function FiguresSaid() {
  const { assessment, planter } = useEditor();
  const { write } = useWords();
  const { id = '' } = useParams();
  const { figures } = assessment;
  const told = { figures, share: planter.share, line: useLineOf(id) };
  const said = reportOf(figures, SHOWN.headline).map(
    ({ id: figure, label, value, kind }) =>
      `${label}: ${withoutEnd(told, figure, write) ?? write(value ?? 0, kind)}`,
  );
  return (
    <Box as="p" srOnly aria-live="polite">
      {said.join('; ')}
    </Box>
  );
}
