import { Box, Button, Field, Input, Text } from '@chakra-ui/react';
import {
  evaluate,
  holesOf,
  partsOf,
  piecesOf,
  planCuts,
  readQuantity,
  type CutPlan,
  type PlanterDesign,
} from '@huerta/core';
import { Printer } from 'lucide-react';
import { useMemo, useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { usePlanter } from '../../api/planters';
import { useWords } from '../../app/preferences';
import { Cautions } from '../../components/Cautions';
import { TopBar } from '../../components/TopBar';
import { Trouble } from '../../components/Trouble';
import { Waiting } from '../../components/Waiting';
import './build.css';

/** What to take to the workbench: holes, cuts and parts of one planter. */
export default function BuildPage() {
  const { id = '' } = useParams();
  const { data, error, isPending, refetch } = usePlanter(id);
  return (
    <Box minH="full">
      <TopBar />
      <Box as="main" className="sheet" px={{ base: '4', md: '8' }} pt="6" pb="16" maxW="60rem">
        {isPending && <Waiting what="the planter" />}
        {error && !data && (
          <Trouble
            title="This planter cannot be opened"
            detail={error.message}
            retry={() => void refetch()}
          />
        )}
        {data && <Sheet id={id} design={data.design} />}
      </Box>
    </Box>
  );
}

/** Usual lengths and kerf of a hand saw, as they are typed. */
const STOCK = { metric: ['2 m', '3 mm'], us: ['10 ft', '1/8 in'] } as const;

function Sheet({ id, design }: { id: string; design: PlanterDesign }) {
  const { units, write, tell } = useWords();
  const { planter, assessment } = useMemo(() => evaluate(design), [design]);
  const [typed, setTyped] = useState<{ length: string; kerf: string } | null>(null);
  const length = typed?.length ?? STOCK[units][0];
  const kerf = typed?.kerf ?? STOCK[units][1];
  const stock = readQuantity(length, 'length', units);
  const saw = readQuantity(kerf, 'length', units);
  const sound = stock.ok && saw.ok && stock.value >= 0.1 && stock.value <= 12 && saw.value <= 0.02;
  const serious = assessment.findings.filter(
    ({ severity }) => severity === 'danger' || severity === 'fault',
  ).length;
  return (
    <>
      <title>{`Build ${design.name} · Huerta`}</title>
      <Box display="flex" gap="4" alignItems="baseline" flexWrap="wrap" mb="2">
        <Text as="h1" fontSize="2xl" flex="1 1 18rem">
          Build: {design.name}
        </Text>
        <Button className="not-printed" onClick={() => window.print()}>
          <Printer size={18} aria-hidden /> Print
        </Button>
        <Link
          className="not-printed"
          to={`/planters/${id}`}
          style={{ textDecoration: 'underline' }}
        >
          To the bench
        </Link>
      </Box>
      {serious > 0 && (
        <Text color="harm" fontWeight="medium" mb="3">
          {serious === 1 ? 'One thing is' : `${serious} things are`} still to mend on the bench. Do
          that before anything is cut.
        </Text>
      )}
      <Part title="What it takes">
        <Table
          head={['Part', 'How much']}
          rows={partsOf(planter, assessment.figures).map(({ id: key, what, amount }) => [
            key,
            what,
            tell(amount),
          ])}
        />
      </Part>
      <Part title="Holes">
        <Cautions room="water" design={design} />
        <Table
          head={['In', 'How many', 'Drill', 'Where', 'Why']}
          rows={holesOf(planter, units).map((hole) => [
            hole.id,
            hole.part,
            String(hole.count),
            write(hole.bit, 'length'),
            tell(hole.where),
            tell(hole.why),
          ])}
        />
      </Part>
      <Part title="Cuts">
        <Box className="not-printed" display="flex" gap="4" mb="3" maxW="22rem">
          <Typed
            label="Lengths on sale"
            value={length}
            error={
              stock.ok
                ? sound
                  ? ''
                  : `From ${write(0.1, 'length')} to ${write(12, 'length')}.`
                : stock.message
            }
            onType={(text) => setTyped({ length: text, kerf })}
          />
          <Typed
            label="The saw takes"
            value={kerf}
            error={
              saw.ok ? (saw.value > 0.02 ? `${write(0.02, 'length')} at most.` : '') : saw.message
            }
            onType={(text) => setTyped({ length, kerf: text })}
          />
        </Box>
        {sound &&
          piecesOf(planter).map(({ good, pieces }) => (
            <Cut
              key={good.id}
              name={tell(good.name)}
              length={stock.value}
              plan={planCuts(pieces, { length: stock.value, kerf: saw.value })}
            />
          ))}
        {piecesOf(planter).length === 0 && <Text>Nothing is cut from lengths.</Text>}
      </Part>
    </>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box as="section" mt="6">
      <Text as="h2" fontSize="lg" borderBottom="2px solid" borderColor="ink" pb="1" mb="3">
        {title}
      </Text>
      {children}
    </Box>
  );
}

interface TypedProps {
  label: string;
  value: string;
  error: string;
  onType(text: string): void;
}

function Typed({ label, value, error, onType }: TypedProps) {
  return (
    <Field.Root invalid={error !== ''}>
      <Field.Label>{label}</Field.Label>
      <Input value={value} onChange={(event) => onType(event.target.value)} />
      <Field.ErrorText>{error}</Field.ErrorText>
    </Field.Root>
  );
}

interface TableProps {
  head: readonly string[];
  /** A key, then a cell for each heading. */
  rows: readonly (readonly string[])[];
}

function Table({ head, rows }: TableProps) {
  return (
    <Box overflowX="auto">
      <table className="sheet-table">
        <thead>
          <tr>
            {head.map((title) => (
              <th key={title} scope="col">
                {title}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([key, ...cells]) => (
            <tr key={key}>
              {cells.map((cell, i) => (
                <td key={head[i]}>{cell}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </Box>
  );
}

/** The lengths to buy of one stock, drawn as bars with their marks. */
function Cut({ name, length, plan }: { name: string; length: number; plan: CutPlan }) {
  const { write } = useWords();
  return (
    <Box mb="5">
      <Text fontWeight="medium">
        {name}: {plan.bought} of {write(length, 'length')}
        {plan.proven ? '' : ` (at least ${plan.bound})`}
      </Text>
      {plan.bars.map((bar, i) => (
        <svg
          key={i}
          className="bar"
          viewBox="0 0 600 44"
          role="img"
          aria-label={`Length ${i + 1}: ${bar.pieces.map((piece) => `${piece.label} ${write(piece.length, 'length')}`).join(', ')}; ${write(bar.left, 'length')} left`}
        >
          <rect className="bar-whole" x="0" y="4" width="600" height="22" />
          {bar.pieces.map((piece, k) => {
            const x = (piece.at / bar.length) * 600;
            const wide = (piece.length / bar.length) * 600;
            return (
              <g key={k}>
                <rect className="bar-piece" x={x} y="4" width={wide} height="22" />
                <text className="bar-text" x={x + wide / 2} y="40" textAnchor="middle">
                  {wide > 44 ? write(piece.length, 'length') : ''}
                </text>
              </g>
            );
          })}
        </svg>
      ))}
      <Text fontSize="sm" color="faint">
        {[...new Set(plan.bars.flatMap((bar) => bar.pieces.map(({ label }) => label)))].join(', ')}
      </Text>
      {plan.tooLong.map((piece) => (
        <Text key={piece.label} color="harm" fontSize="sm">
          {piece.label} of {write(piece.length, 'length')} is longer than what is on sale: join two,
          or give a longer length.
        </Text>
      ))}
    </Box>
  );
}
