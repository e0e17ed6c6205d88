import { Box, Button } from '@chakra-ui/react';
import { FIELDS, reshape, SHAPES, type FieldSpec, type VesselDesign } from '@huerta/core/document';
import { LINERS } from '@huerta/core/catalog';
import type { Message } from '@huerta/core/units';
import { Plus, X } from 'lucide-react';
import { ChoiceField } from '../ChoiceField';
import { Pair } from '../Pair';
import { QuantityField } from '../QuantityField';

/** Takes a changed vessel, or says why it cannot be. */
type ChangeVessel = (vessel: VesselDesign) => Message | null;

/** Takes single measures: those that hang on each other wait for one another. */
interface VesselMeasures {
  enter(key: string, value: number): Message | null;
  forget(key: string): void;
}

interface VesselFieldsProps {
  vessel: VesselDesign;
  onChange: ChangeVessel;
  measures?: VesselMeasures;
}

const V = FIELDS.vessel;
type Row = readonly (readonly [key: string, spec: FieldSpec])[];

/** The measures of each shape, in pairs as they are taken. */
const MEASURES: Partial<Record<VesselDesign['kind'], readonly Row[]>> = {
  round: [
    [
      ['topDiameter', V.topDiameter],
      ['bottomDiameter', V.bottomDiameter],
    ],
  ],
  box: [
    [
      ['topLength', V.topLength],
      ['topWidth', V.topWidth],
    ],
    [
      ['bottomLength', V.bottomLength],
      ['bottomWidth', V.bottomWidth],
    ],
    [['corner', V.corner]],
  ],
  stadium: [
    [
      ['topLength', V.topLength],
      ['topWidth', V.topWidth],
    ],
    [
      ['bottomLength', V.bottomLength],
      ['bottomWidth', V.bottomWidth],
    ],
  ],
  frame: [
    [
      ['length', V.length],
      ['width', V.width],
    ],
    [
      ['legs', V.legs],
      ['fall', V.fall],
    ],
  ],
  lying: [
    [
      ['diameter', V.diameter],
      ['length', V.length],
    ],
  ],
};

/** Shape and measures of a vessel, in any unit; odd ones by sizes up the side or by a pour. */
export function VesselFields({ vessel, onChange, measures }: VesselFieldsProps) {
  const at = (key: string) => ({
    onCommit: (value: number) =>
      measures ? measures.enter(key, value) : onChange({ ...vessel, [key]: value } as VesselDesign),
    onDrop: () => measures?.forget(key),
  });
  const numbers = vessel as unknown as Record<string, number>;
  return (
    <>
      <ChoiceField
        label="Shape"
        value={vessel.kind}
        choices={SHAPES}
        onChoose={(kind) => onChange(reshape(vessel, kind))}
      />
      {(MEASURES[vessel.kind] ?? []).map((row, i) => (
        <Pair key={i}>
          {row.map(([key, spec]) => (
            <QuantityField key={key} spec={spec} value={numbers[key] ?? 0} {...at(key)} />
          ))}
        </Pair>
      ))}
      {vessel.kind === 'frame' && (
        <ChoiceField
          label="Liner"
          value={vessel.liner}
          choices={LINERS}
          onChoose={(liner) => onChange({ ...vessel, liner })}
        />
      )}
      {vessel.kind === 'stations' && <Stations vessel={vessel} onChange={onChange} />}
      {vessel.kind === 'poured' && <Readings vessel={vessel} onChange={onChange} />}
      <Pair>
        {'depth' in vessel && (
          <QuantityField
            spec={V.depth}
            value={vessel.depth}
            {...at('depth')}
            {...(vessel.kind === 'lying'
              ? { label: 'Cut at', help: 'Lowest line to the cut.' }
              : {})}
          />
        )}
        <QuantityField
          spec={V.wall}
          value={vessel.wall}
          {...at('wall')}
          {...(vessel.kind === 'frame' ? { label: 'Board thickness' } : {})}
        />
      </Pair>
    </>
  );
}

const PLANS = { round: { name: 'Round from above' }, box: { name: 'Rectangular from above' } };

type Odd<K extends 'stations' | 'poured'> = Extract<VesselDesign, { kind: K }>;

function Stations({ vessel, onChange }: { vessel: Odd<'stations'>; onChange: ChangeVessel }) {
  const { stations, plan } = vessel;
  const set = (i: number, key: 'height' | 'length' | 'width') => (value: number) =>
    onChange({
      ...vessel,
      stations: stations.map((station, k) => (k === i ? { ...station, [key]: value } : station)),
    });
  const add = () => {
    const last = stations[stations.length - 1];
    const before = stations[stations.length - 2];
    if (!last || !before) return;
    const middle = {
      height: (last.height + before.height) / 2,
      length: (last.length + before.length) / 2,
      width: (last.width + before.width) / 2,
    };
    onChange({ ...vessel, stations: [...stations.slice(0, -1), middle, last] });
  };
  return (
    <Box display="flex" flexDirection="column" gap="3">
      <ChoiceField
        label="Outline"
        value={plan}
        choices={PLANS}
        onChoose={(next) => onChange({ ...vessel, plan: next })}
      />
      {stations.map((station, i) => (
        <Line
          key={i}
          label={`size ${i + 1}`}
          onRemove={
            stations.length > 2 && i > 0
              ? () => onChange({ ...vessel, stations: stations.filter((_, k) => k !== i) })
              : null
          }
        >
          <QuantityField
            spec={V.stationHeight}
            value={station.height}
            label={i === 0 ? 'Floor' : i === stations.length - 1 ? 'Rim at' : 'At height'}
            onCommit={set(i, 'height')}
          />
          <QuantityField
            spec={V.stationLength}
            value={station.length}
            label={plan === 'round' ? 'Across' : 'Length'}
            onCommit={set(i, 'length')}
          />
          {plan === 'box' && (
            <QuantityField
              spec={V.stationWidth}
              value={station.width}
              label="Width"
              onCommit={set(i, 'width')}
            />
          )}
        </Line>
      ))}
      {stations.length < 12 && (
        <Button onClick={add} alignSelf="flex-start">
          <Plus size={18} aria-hidden /> One more size
        </Button>
      )}
    </Box>
  );
}

function Readings({ vessel, onChange }: { vessel: Odd<'poured'>; onChange: ChangeVessel }) {
  const { readings, plan } = vessel;
  const set = (i: number, key: 'volume' | 'height') => (value: number) =>
    onChange({
      ...vessel,
      readings: readings.map((reading, k) => (k === i ? { ...reading, [key]: value } : reading)),
    });
  const add = () => {
    const last = readings[readings.length - 1];
    const before = readings[readings.length - 2] ?? { volume: 0, height: 0 };
    if (!last) return;
    const height = Math.min(2 * last.height - before.height, vessel.depth);
    const room = height - last.height > 0.002;
    const next = { volume: 2 * last.volume - before.volume, height };
    const middle = {
      volume: (last.volume + before.volume) / 2,
      height: (last.height + before.height) / 2,
    };
    onChange({
      ...vessel,
      readings: room ? [...readings, next] : [...readings.slice(0, -1), middle, last],
    });
  };
  return (
    <Box display="flex" flexDirection="column" gap="3">
      <ChoiceField
        label="Outline"
        value={plan}
        choices={PLANS}
        onChoose={(next) => onChange({ ...vessel, plan: next })}
      />
      {plan === 'box' && (
        <QuantityField
          spec={V.ratio}
          value={vessel.ratio}
          onCommit={(ratio) => onChange({ ...vessel, ratio })}
        />
      )}
      {readings.map((reading, i) => (
        <Line
          key={i}
          label={`reading ${i + 1}`}
          onRemove={
            readings.length > 2
              ? () => onChange({ ...vessel, readings: readings.filter((_, k) => k !== i) })
              : null
          }
        >
          <QuantityField
            spec={V.poured}
            value={reading.volume}
            label="Poured so far"
            onCommit={set(i, 'volume')}
          />
          <QuantityField spec={V.pouredHeight} value={reading.height} onCommit={set(i, 'height')} />
        </Line>
      ))}
      {readings.length < 20 && (
        <Button onClick={add} alignSelf="flex-start">
          <Plus size={18} aria-hidden /> One more reading
        </Button>
      )}
    </Box>
  );
}

interface LineProps {
  label: string;
  onRemove: (() => void) | null;
  children: React.ReactNode;
}

function Line({ label, onRemove, children }: LineProps) {
  return (
    <Box display="flex" gap="2" alignItems="flex-end" role="group" aria-label={label}>
      <Box display="grid" gridAutoFlow="column" gridAutoColumns="1fr" gap="2" flex="1">
        {children}
      </Box>
      {onRemove ? (
        <Button variant="ghost" px="1" aria-label={`Leave out ${label}`} onClick={onRemove}>
          <X size={18} />
        </Button>
      ) : (
        <Box minW="touch" />
      )}
    </Box>
  );
}
