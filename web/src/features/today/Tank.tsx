import { Box, Button, Text } from '@chakra-ui/react';
import type { WeatherChoice } from '@huerta/core/physics/climate';
import {
  TANK_AHEAD,
  usualTank,
  type LogEntry,
  type RainTank,
  type RoundPlan,
} from '@huerta/core/journal';
import type { FieldSpec } from '@huerta/core/document';
import { q } from '@huerta/core/units';
import { Plus, Trash2 } from 'lucide-react';
import { useGardenDay } from '../../data/gardenDay';
import { useChangeRound } from '../../data/api/round';
import { useWords } from '../../ui/preferences';
import { writeDate } from '../../ui/dates';
import { notify } from '../../ui/notices';
import { QuantityField } from '../../ui/QuantityField';
import { TankPicture } from '../../drawing/WaterVessels';
import type { Round } from '../../compute/roundStates';
import { useTankOutlook } from '../../compute/tank';

interface TankProps {
  plan: RoundPlan;
  round: Round;
  choice: WeatherChoice;
  entries: readonly LogEntry[];
  /** Whether all of the round is known. */
  ready: boolean;
}

/** The rain tank: what it has, what it caught, and when it runs dry. */
export function Tank({ plan, round, choice, entries, ready }: TankProps) {
  const change = useChangeRound();
  const today = useGardenDay();
  const { tank } = plan;
  if (!tank)
    return (
      <Box className="not-printed" mb="4">
        <Button variant="ghost" px="2" onClick={() => change({ tank: usualTank(today) })}>
          <Plus size={18} aria-hidden /> Add a rain tank
        </Button>
      </Box>
    );
  return (
    <StandingTank
      tank={tank}
      ready={ready}
      of={{ round, choice, entries }}
      onChange={(next) => change({ tank: next })}
    />
  );
}

interface StandingTankProps {
  tank: RainTank;
  ready: boolean;
  of: Pick<TankProps, 'round' | 'choice' | 'entries'>;
  onChange(tank: RainTank | null): void;
}

function StandingTank({ tank, ready, of, onChange }: StandingTankProps) {
  const { write, writeTogether } = useWords();
  const { water, caught, drawn, daily, dry } = useTankOutlook(tank, of);
  const amount = writeTogether([daily, caught, drawn].map((one) => q(one, 'volume')));
  const rainless = dry.early && dry.early !== dry.likely;
  return (
    <Box as="section" aria-label="Rain tank" className="tank">
      <TankPicture share={ready ? water / tank.size : 0} />
      <div>
        {ready && (
          <Text role="status">
            About <b>{write(water, 'volume')}</b> in the rain tank.{' '}
            {dry.likely
              ? `It likely lasts to ${writeDate(dry.likely, 'short')}`
              : `It lasts for the next ${TANK_AHEAD} days`}
            {rainless && (
              <span className="tank-rainless">
                , to {writeDate(dry.early as string, 'short')} without much rain
              </span>
            )}
            .
          </Text>
        )}
        <details className="not-printed">
          <summary>More of the tank</summary>
          <Text fontSize="sm" color="faint" mb="2">
            All planters drink about {amount(daily, 'volume')} a day.{' '}
            {(caught > 0 || drawn > 0) &&
              `Since ${writeDate(tank.seen, 'short')} it caught ${amount(caught, 'volume')} and gave ${amount(drawn, 'volume')}.`}
          </Text>
          <Fields tank={tank} onChange={onChange} />
        </details>
      </div>
    </Box>
  );
}

const SPECS = {
  size: { label: 'It holds', kind: 'volume', min: 0.01, max: 100 },
  roof: { label: 'Roof that fills it', kind: 'area', min: 0, max: 2000, help: 'Seen from above.' },
  firstFlush: {
    label: 'First flush',
    kind: 'volume',
    min: 0,
    max: 1,
    help: 'Let run away at the start of each rain, with the dust of the roof.',
  },
  water: { label: 'In it this morning', kind: 'volume', min: 0, max: 100 },
} as const satisfies Record<string, FieldSpec>;

interface FieldsProps {
  tank: RainTank;
  onChange(tank: RainTank | null): void;
}

/** What it holds and what fills it. */
function Fields({ tank, onChange }: FieldsProps) {
  const today = useGardenDay();
  const set = (part: Partial<RainTank>) => {
    onChange({ ...tank, ...part });
    return null;
  };
  return (
    <Box className="tank-fields">
      <QuantityField spec={SPECS.size} value={tank.size} onCommit={(size) => set({ size })} />
      <QuantityField spec={SPECS.roof} value={tank.roof} onCommit={(roof) => set({ roof })} />
      <QuantityField
        spec={SPECS.firstFlush}
        value={tank.firstFlush}
        onCommit={(firstFlush) => set({ firstFlush })}
      />
      <QuantityField
        spec={SPECS.water}
        value={tank.water}
        help={`Seen on ${writeDate(tank.seen, 'short')}.`}
        onCommit={(water) => set({ water, seen: today })}
      />
      <Button
        variant="ghost"
        px="2"
        alignSelf="end"
        onClick={() => {
          onChange(null);
          notify('The rain tank is taken out.', {
            label: 'Put it back',
            run: () => onChange(tank),
          });
        }}
      >
        <Trash2 size={18} aria-hidden /> No tank
      </Button>
    </Box>
  );
}
