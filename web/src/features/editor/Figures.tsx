import { Box } from '@chakra-ui/react';
import { cautiousDays, reportOf, SHOWN, type ReportId } from '@huerta/core/assessment';
import { useParams } from 'react-router';
import { useLineOf } from '../../data/api/round';
import { useWords } from '../../ui/preferences';
import { useEditor } from './editorState';

/** A number of more characters than this is written smaller, so that it stays in its column. */
const LONG = 5;

/** The four figures that matter, to be read at arm's length. */
export function Figures({ compact }: { compact: boolean }) {
  const { assessment, design } = useEditor();
  const { parts, write } = useWords();
  const { figures } = assessment;
  const { lastsHot, lastsMild, weight } = figures;
  const { id: planter = '' } = useParams();
  const alone = useLineOf(planter) ? 'by itself: ' : '';
  const days = (value: number) => write(cautiousDays(value), 'days');
  const small: Partial<Record<ReportId, string>> = {
    usable:
      figures.stranded > 1e-5
        ? `holds ${write(figures.gross, 'volume')}, ${write(figures.stranded, 'volume')} too slow or too low`
        : 'all that it holds',
    lastsHot: Number.isFinite(lastsMild.days)
      ? `${alone}plants go short after ${days(lastsHot.short)}; when mild ${days(lastsMild.days)} and ${days(lastsMild.short)}`
      : 'nothing drinks from it',
    growingDepth: `${write(figures.soilVolume, 'loose')} of mix`,
    weightFull: `${write(weight.pressure, 'pressure')} on its floor`,
  };
  return (
    <dl
      className={compact ? 'figures is-compact' : 'figures'}
      aria-label={`Figures of ${design.name}`}
    >
      {reportOf(figures, SHOWN.headline).map(({ id, label, short, value, kind }) => {
        const written = parts(value ?? 0, kind);
        const long = written.number.length > LONG;
        return (
          <div key={id}>
            <dt>{compact ? short : label}</dt>
            <dd className={long ? 'figure-large is-long' : 'figure-large'}>
              {written.number}
              <span className="figure-unit">{written.symbol}</span>
            </dd>
            {!compact && <dd className="figure-small">{small[id]}</dd>}
          </div>
        );
      })}
    </dl>
  );
}

/** The same in a sentence, for those who hear it: said when a line has come to rest. */
export function FiguresSaid() {
  const { assessment } = useEditor();
  const { write } = useWords();
  const said = reportOf(assessment.figures, SHOWN.headline).map(
    ({ label, value, kind }) => `${label}: ${write(value ?? 0, kind)}`,
  );
  return (
    <Box as="p" srOnly aria-live="polite">
      {said.join('; ')}
    </Box>
  );
}
