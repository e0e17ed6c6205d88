import { Box, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { buildSheet } from '@huerta/core/fabrication';
import { evaluate, SHOWN } from '@huerta/core/assessment';
import { section } from '@huerta/core/drawing';
import { useMemo, type CSSProperties, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useLineShares } from '../../compute/line';
import { useWords } from '../../ui/preferences';
import { reportedSide } from '../../ui/reportedSide';
import { SeverityMark } from '../../ui/Severity';
import { SmallSection } from '../../drawing/SmallSection';
import './compare.css';

/** Size of the tallest or widest drawing, pixels. */
const TALL = 190;
const WIDE = 250;

/** Sections at one scale, figures with the best marked, what each takes, and what is found. */
export function CompareTable({ planters }: { planters: PlanterResource[] }) {
  const { write, tell, units } = useWords();
  const shares = useLineShares(planters);
  const columns = useMemo(
    () =>
      planters.map(({ id, design }) => {
        const { planter, assessment } = evaluate(design, shares?.[id]?.share);
        const needs = buildSheet(planter, assessment.figures, units).parts;
        return { id, design, drawing: section(planter), needs, ...assessment };
      }),
    [planters, shares, units],
  );
  const scale = Math.min(
    ...columns.map(({ drawing: { bounds } }) =>
      Math.min(TALL / (bounds.top - bounds.bottom), WIDE / (bounds.right - bounds.left)),
    ),
  );
  const needIds = [...new Map(columns.flatMap(({ needs }) => needs.map((n) => [n.what, n.what])))];
  return (
    <div className="compare" style={{ '--columns': columns.length } as CSSProperties}>
      <table>
        <thead>
          <tr>
            <th scope="col">
              <Text as="span" color="faint">
                At one scale
              </Text>
            </th>
            {columns.map(({ id, design, drawing }) => (
              <th key={id} scope="col">
                <div className="compare-drawing">
                  <SmallSection section={drawing} width={WIDE} height={TALL + 6} scale={scale} />
                </div>
                <Link to={`/planters/${id}`} style={{ textDecoration: 'underline' }}>
                  {design.name}
                </Link>
                {design.variant && <span className="compare-variant">{design.variant}</span>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {SHOWN.comparison.map((id) => {
            const { label, better, values, texts } = reportedSide(
              id,
              columns.map(({ figures }) => figures),
              write,
            );
            const differ = new Set(texts).size > 1;
            const best = better === 'more' ? Math.max(...values) : Math.min(...values);
            return (
              <Row key={id} label={label}>
                {texts.map((text, i) => {
                  const leads = differ && better !== undefined && values[i] === best;
                  return (
                    <td key={columns[i]?.id}>
                      <Box as="span" fontWeight={leads ? 'bold' : 'normal'}>
                        {text}
                        {leads && <span className="compare-best">best</span>}
                      </Box>
                    </td>
                  );
                })}
              </Row>
            );
          })}
          <Row label="Findings">
            {columns.map(({ id, findings }) => {
              const grave = findings.filter(({ severity }) => severity !== 'note');
              return (
                <td key={id}>
                  {grave.length === 0 && 'Nothing to mend'}
                  {grave.slice(0, 3).map((finding) => (
                    <Box key={finding.id} mb="2">
                      <SeverityMark severity={finding.severity} />
                      {tell(finding.text)}
                    </Box>
                  ))}
                  {grave.length > 3 && `and ${grave.length - 3} more`}
                </td>
              );
            })}
          </Row>
          {needIds.map(([what]) => {
            const texts = columns.map(({ needs }) =>
              needs
                .filter((need) => need.what === what)
                .map((need) => tell(need.amount))
                .join('; '),
            );
            const differ = new Set(texts).size > 1;
            return (
              <Row key={what} label={what}>
                {texts.map((text, i) => (
                  <td key={columns[i]?.id}>{differ ? <b>{text || '–'}</b> : text || '–'}</td>
                ))}
              </Row>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

function Row({ label, children }: { label: string; children: ReactNode }) {
  return (
    <tr>
      <th scope="row">{label}</th>
      {children}
    </tr>
  );
}
