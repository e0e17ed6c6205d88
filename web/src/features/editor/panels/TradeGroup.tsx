import { Box, Button, Text } from '@chakra-ui/react';
import { airCeiling, FIELDS, type FieldSpec } from '@huerta/core/document';
import { cautiousDays, propose, rootRoom, type TradePoint } from '@huerta/core/assessment';
import { deepest } from '@huerta/core/physics/crop';
import { useState, type KeyboardEvent } from 'react';
import { Link, useParams } from 'react-router';
import { useWords } from '../../../ui/preferences';
import { QuantityField } from '../../../ui/QuantityField';
import { useTradeCurve } from '../../../compute/trade';
import { useEditor } from '../editorState';
import { Group, Measure, Pair, Says } from './parts';
import { TradeCurve } from './TradeCurve';

const NO_CURVE: readonly TradePoint[] = [];
const ROOTS: FieldSpec = { label: 'Root room', kind: 'span', min: 0.05, max: 1 };

/** How long must it last, and how much root room: proposes heights, and shows what they trade. */
export function TradeGroup() {
  const { id = '' } = useParams();
  const { design, planter, assessment, change } = useEditor();
  const { write, tell } = useWords();
  const { value, trouble } = useTradeCurve(planter);
  const curve = value ?? NO_CURVE;
  const [roots, setRoots] = useState<number | null>(null);
  const [refusal, setRefusal] = useState('');
  const wish = { days: design.place.daysAway, roots: roots ?? rootRoom({ design }) };
  const found = propose(curve, wish);
  const now = airCeiling(design);
  const take = (point: TradePoint) => {
    const refused = change(point.patch);
    setRefusal(refused ? tell(refused) : '');
  };
  const at = curve.reduce(
    (best, point, i) =>
      Math.abs(point.top - now) < Math.abs((curve[best]?.top ?? Infinity) - now) ? i : best,
    0,
  );
  const step = (by: number) => {
    const point = curve[Math.min(Math.max(at + by, 0), curve.length - 1)];
    if (point) take(point);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1, PageUp: 8, PageDown: -8 }[
      event.key
    ];
    if (by === undefined) return;
    event.preventDefault();
    step(by);
  };
  return (
    <Group title="How long must it last, how much root room?">
      <Pair>
        <Measure
          path={['place', 'daysAway']}
          spec={FIELDS.place.daysAway}
          value={design.place.daysAway}
        />
        <QuantityField
          spec={ROOTS}
          value={wish.roots}
          onCommit={(value) => {
            setRoots(value);
            return null;
          }}
          {...(roots === null
            ? { help: `${deepest(design.planting)?.name ?? 'Nothing'} asks for it` }
            : {})}
        />
      </Pair>
      {curve.length > 1 && (
        <>
          <TradeCurve
            curve={curve}
            at={at}
            wish={wish}
            proposed={found?.point ?? null}
            onPick={take}
            onKeyDown={onKeyDown}
          />
          {!found && (
            <Says>
              Every height brings a fault as things stand. Mend what is found first, then come back.
            </Says>
          )}
          {found && (
            <Says>
              {found.lasts && found.roomy
                ? `With ${write(found.point.growingDepth, 'span')} left for the roots it reads low after ${write(cautiousDays(found.point.days), 'days')} at the latest, at ${write(found.point.top, 'length')}.`
                : found.roomy
                  ? `This vessel cannot do both. With the roots kept it reads low after ${write(cautiousDays(found.point.days), 'days')} at the latest.`
                  : `No height leaves ${write(wish.roots, 'span')}: the most is ${write(found.point.growingDepth, 'span')}.`}
            </Says>
          )}
          {found && Math.abs(found.point.top - now) > 5e-4 && (
            <Button variant="solid" alignSelf="flex-start" onClick={() => take(found.point)}>
              Set it to {write(found.point.top, 'length')}
            </Button>
          )}
        </>
      )}
      {curve.length <= 1 && (
        <Text fontSize="sm">
          It reads low after {write(cautiousDays(assessment.figures.lastsHot.days), 'days')} of hot
          weather.
        </Text>
      )}
      <Says>
        <Link to={`/plans?of=${id}`} style={{ textDecoration: 'underline' }}>
          Another build for this
        </Link>
        : other vessels and bases for what grows here.
      </Says>
      {(trouble ?? refusal) && (
        <Box role="alert" color="harm" fontSize="sm">
          {trouble ?? refusal}
        </Box>
      )}
    </Group>
  );
}
