import { Box, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { buildSheet } from '@huerta/core/fabrication';
import { evaluate, SHOWN } from '@huerta/core/assessment';
import { section } from '@huerta/core/drawing';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useWords } from '../../ui/preferences';
import { reportedSide } from '../../ui/reportedSide';
import { SeverityMark } from '../../ui/Severity';
import { SmallSection } from '../../drawing/SmallSection';

/** Size of the tallest or widest drawing, pixels. */
const TALL = 190;
const WIDE = 250;

/** Sections at one scale, figures with the best marked, what each takes, and what is found. */
export function CompareTable({ planters }: { planters: PlanterResource[] }) {
  const { write, tell } = useWords();
  const columns = useMemo(
    () =>
      planters.map(({ id, design }) => {
        const { planter, assessment } = evaluate(design);
        const needs = buildSheet(planter, assessment.figures, 'metric').parts;
        return { id, design, drawing: section(planter), needs, ...assessment };
      }),
    [planters],
  );
  const scale = Math.min(
    ...columns.map(({ drawing: { bounds } }) =>
      Math.min(TALL / (bounds.top - bounds.bottom), WIDE / (bounds.right - bounds.left)),
    ),
  );
  const needIds = [...new Map(columns.flatMap(({ needs }) => needs.map((n) => [n.what, n.what])))];
  return (
    <Box overflowX="auto" mt="4">
      <Box
        as="table"
        fontSize="sm"
        style={{ borderCollapse: 'collapse', minWidth: `${10 + 17 * columns.length}rem` }}
      >
        <thead>
          <tr>
            <HeadCell>
              <Text as="span" color="faint">
                At one scale
              </Text>
            </HeadCell>
            {columns.map(({ id, design, drawing }) => (
              <HeadCell key={id}>
                <Box borderBottom="3px solid" borderColor="ink" mb="2">
                  <SmallSection section={drawing} width={WIDE} height={TALL + 6} scale={scale} />
                </Box>
                <Link to={`/planters/${id}`} style={{ textDecoration: 'underline' }}>
                  {design.name}
                </Link>
                {design.variant && (
                  <Text fontWeight="normal" fontFamily="body" fontSize="sm" color="faint">
                    {design.variant}
                  </Text>
                )}
              </HeadCell>
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
                    <Cell key={columns[i]?.id}>
                      <Box as="span" fontWeight={leads ? 'bold' : 'normal'}>
                        {text}
                        {leads && <Mark text="best" />}
                      </Box>
                    </Cell>
                  );
                })}
              </Row>
            );
          })}
          <Row label="Findings">
            {columns.map(({ id, findings }) => {
              const grave = findings.filter(({ severity }) => severity !== 'note');
              return (
                <Cell key={id}>
                  {grave.length === 0 && 'Nothing to mend'}
                  {grave.slice(0, 3).map((finding) => (
                    <Box key={finding.id} mb="2">
                      <SeverityMark severity={finding.severity} />
                      {tell(finding.text)}
                    </Box>
                  ))}
                  {grave.length > 3 && `and ${grave.length - 3} more`}
                </Cell>
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
                  <Cell key={columns[i]?.id}>{differ ? <b>{text || '–'}</b> : text || '–'}</Cell>
                ))}
              </Row>
            );
          })}
        </tbody>
      </Box>
    </Box>
  );
}

function HeadCell({ children }: { children: React.ReactNode }) {
  return (
    <Box
      as="th"
      textAlign="left"
      verticalAlign="bottom"
      fontFamily="heading"
      fontSize="md"
      pe="5"
      pb="3"
      {...{ scope: 'col' }}
    >
      {children}
    </Box>
  );
}

function Row({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <Box as="tr" borderTop="1px solid" borderColor="rule">
      <Box
        as="th"
        textAlign="left"
        verticalAlign="top"
        fontWeight="normal"
        color="faint"
        py="2"
        pe="4"
        minW="9rem"
        {...{ scope: 'row' }}
      >
        {label}
      </Box>
      {children}
    </Box>
  );
}

function Cell({ children }: { children: React.ReactNode }) {
  return (
    <Box as="td" verticalAlign="top" py="2" px="2" borderRight="4px solid" borderColor="wall">
      {children}
    </Box>
  );
}

function Mark({ text }: { text: string }) {
  return (
    <Box as="span" ms="2" fontSize="xs" color="clay" fontWeight="medium">
      {text}
    </Box>
  );
}
