import { Box, Button, Text } from '@chakra-ui/react';
import { AMPLE, broughtAt } from '@huerta/core/assessment';
import { bunchAcross, bunchHole, rootWays } from '@huerta/core/assembly';
import { CLOTH_FORMS, CLOTHS, FILLS } from '@huerta/core/catalog';
import {
  FIELDS,
  MAX_WICKS,
  USUAL_COLUMN,
  usualCup,
  usualIn,
  type ClothWickDesign,
  type ColumnWickDesign,
  type CupWickDesign,
  type WickDesign,
} from '@huerta/core/document';
import { clothProperties, stripHeight } from '@huerta/core/physics/wick';
import { countOf, ROOTS_A_DAY } from '@huerta/core/physics/crop';
import { useState } from 'react';
import { useWords } from '../../../ui/preferences';
import { useEditor } from '../editorState';
import { FieldGroup } from './FieldGroup';
import { Choice, Group, Measure, Pair, Says, Tick } from './parts';
import { Spots } from './Spots';

/** The bridge from water to soil: what it is, and whether it is enough. */
export function WickPanel() {
  const { design, change, planter } = useEditor();
  const { write, tell, units } = useWords();
  const [refusal, setRefusal] = useState('');
  const { wicks } = design;
  const own = planter.wicks.filter((wick) => wick.index === null);
  const cups = !design.reservoir.fill.some(({ medium, upTo }) => medium === 'mix' && upTo >= 1);
  const add = (wick: WickDesign) => {
    const refused = change([{ path: ['wicks'], value: [...wicks, wick] }]);
    setRefusal(refused ? tell(refused) : '');
  };
  const remove = (i: number) =>
    change([{ path: ['wicks'], value: wicks.filter((_, k) => k !== i) }]);
  return (
    <>
      {own.map((wick) => (
        <Says key={wick.kind}>
          {wick.kind === 'bag'
            ? 'The bag’s own base stands in the water and is the wick.'
            : `${wick.name} fills the base and is a wick of its own: it lifts water ${write(wick.reach, 'length')} and reaches down to ${write(wick.lastDrop, 'length')}.`}
        </Says>
      ))}
      {wicks.map((wick, i) =>
        wick.kind === 'cloth' ? (
          <ClothFields key={i} wick={wick} index={i} onRemove={() => remove(i)} />
        ) : wick.kind === 'cup' ? (
          <CupFields key={i} wick={wick} index={i} onRemove={() => remove(i)} />
        ) : (
          <ColumnFields key={i} wick={wick} index={i} onRemove={() => remove(i)} />
        ),
      )}
      {wicks.length < MAX_WICKS && (
        <Box display="flex" gap="2" flexWrap="wrap">
          <Button onClick={() => add(usualIn(units).cloth)}>Add cloth</Button>
          {cups && <Button onClick={() => add(usualCup(units))}>Add a packed cup</Button>}
          <Button onClick={() => add(usualColumn(planter.floor))}>Add columns</Button>
        </Box>
      )}
      {refusal && (
        <Text color="harm" fontSize="sm" role="alert">
          {refusal}
        </Text>
      )}
      {planter.wicks.length > 0 && <Delivery />}
      {planter.wicks.length > 0 && <ByLevel />}
      {planter.wicks.length > 0 && <FieldGroup />}
    </>
  );
}

const TEN_MINUTES = 600;
const DAY = 86_400;

/** A smaller share of the thirst than this is hardly any. */
const HARDLY = 0.005;

/** What comes up from a full reservoir, against what is asked, and from when on roots do their part. */
function Delivery() {
  const { assessment, design, planter } = useEditor();
  const { write, writeTogether } = useWords();
  const { figures } = assessment;
  const daily = writeTogether([
    { value: figures.delivery, kind: 'daily' },
    { value: figures.hot.total, kind: 'daily' },
  ]);
  const { beforeRoots } = figures;
  const ways = planter.wicks.some(({ throat }) => throat > 0);
  return (
    <>
      <Says>
        Full, the wicks bring{' '}
        {figures.duty > AMPLE ? 'more than ten times enough' : daily(figures.delivery, 'daily')}; a
        hot day asks {daily(figures.hot.total, 'daily')}.{' '}
        {figures.duty < 1
          ? 'It falls behind on hot days.'
          : figures.usableLevel > 1e-3
            ? `Fill it when the water is down to ${write(figures.usableLevel, 'length')}.`
            : 'It keeps up to the last of the water.'}
      </Says>
      {beforeRoots ? (
        <Says>
          Roots are down at the water about {write(beforeRoots.days, 'days')} after planting and
          drink there themselves. Until then the wick alone makes use of{' '}
          {write(beforeRoots.usable, 'volume')}.
        </Says>
      ) : (
        countOf(design.planting) > 0 && (
          <Says>
            {ways
              ? 'Roots of this crop do not get down to the water.'
              : 'Roots stop at the air under the soil: all water comes up by the wick.'}
          </Says>
        )
      )}
      <Measure
        path={['planting', 'rootsADay']}
        spec={FIELDS.planting.rootsADay}
        value={design.planting.rootsADay ?? ROOTS_A_DAY}
      />
    </>
  );
}

/** What comes up as the water goes down, and how much of a hot day's thirst that is. */
function ByLevel() {
  const { planter, assessment } = useEditor();
  const { write } = useWords();
  const asked = assessment.figures.hot.total;
  const ways = assessment.figures.beforeRoots ? rootWays(planter) : [];
  return (
    <Group title="As the water goes down, hot day">
      <Box as="table" w="full" fontSize="sm" style={{ borderCollapse: 'collapse' }}>
        <thead>
          <Box as="tr" color="faint">
            <Box as="th" textAlign="left" fontWeight="normal" {...{ scope: 'col' }}>
              Water at
            </Box>
            <Box as="th" textAlign="right" fontWeight="normal" {...{ scope: 'col' }}>
              comes up a day
            </Box>
            <Box as="th" textAlign="right" fontWeight="normal" ps="2" {...{ scope: 'col' }}>
              of thirst
            </Box>
          </Box>
        </thead>
        <tbody>
          {[1, 0.75, 0.5, 0.25, 0.1].map((share) => {
            const level = planter.heights.brim * share;
            const brings = broughtAt(planter, ways, level);
            const met = asked > 0 ? brings / asked : Infinity;
            return (
              <Box as="tr" key={share} borderBottom="1px solid" borderColor="rule">
                <Box as="th" textAlign="left" fontWeight="normal" py="1" {...{ scope: 'row' }}>
                  {write(level, 'length')}
                </Box>
                <Box as="td" textAlign="right" fontWeight="medium">
                  {met > AMPLE
                    ? 'ample'
                    : met < HARDLY
                      ? 'hardly any'
                      : write(brings * DAY, 'volume')}
                </Box>
                <Box as="td" textAlign="right" color={met >= 1 ? 'faint' : 'harm'} ps="2">
                  {met >= 1 ? 'all' : write(met, 'share')}
                </Box>
              </Box>
            );
          })}
        </tbody>
      </Box>
    </Group>
  );
}

/** Columns that go into the corners of a floor this large. */
const usualColumn = ({ a, b }: { a: number; b: number }): ColumnWickDesign => ({
  ...USUAL_COLUMN,
  diameter: Math.max(Math.min(USUAL_COLUMN.diameter, Math.min(a, b) * 0.4), 0.02),
});

interface WickFieldsProps<W> {
  wick: W;
  index: number;
  onRemove(): void;
}

function ClothFields({ wick, index, onRemove }: WickFieldsProps<ClothWickDesign>) {
  const { change, planter } = useEditor();
  const { write, units } = useWords();
  const at = (key: string) => ['wicks', index, key];
  const cloth = CLOTHS[wick.material];
  return (
    <Group title={`Wick ${index + 1}: cloth`}>
      <Choice
        label="Material"
        value={wick.material}
        choices={CLOTHS}
        path={at('material')}
        help={`Typical: a strip of it is wet ${write(cloth.strip.hour, 'length')} high after an hour, ${write(cloth.strip.day, 'length')} after a day. Renew after ${cloth.seasons} seasons.`}
      />
      <Pair>
        <Measure path={at('legs')} spec={FIELDS.cloth.legs} value={wick.legs} />
        <Measure path={at('width')} spec={FIELDS.cloth.width} value={wick.width} />
      </Pair>
      <Pair>
        <Measure path={at('thickness')} spec={FIELDS.cloth.thickness} value={wick.thickness} />
        <Measure path={at('spread')} spec={FIELDS.cloth.spread} value={wick.spread} />
      </Pair>
      <Pair>
        <Measure path={at('holes')} spec={FIELDS.cloth.holes} value={wick.holes} />
        <Measure path={at('foot')} spec={FIELDS.cloth.foot} value={wick.foot} />
      </Pair>
      <Choice label="Cut as" value={wick.form} choices={CLOTH_FORMS} path={at('form')} />
      <Says>
        Bunched it is {write(bunchAcross(wick), 'length')} across: drill{' '}
        {write(bunchHole(wick, units), 'length')}.
      </Says>
      <Spots
        path={at('at')}
        at={wick.at}
        group={planter.of('cloth').find((group) => group.index === index)}
        name="Hole"
      />
      {wick.strip ? (
        <>
          <Pair>
            <Measure
              path={[...at('strip'), 'hour']}
              spec={FIELDS.strip.hour}
              value={wick.strip.hour}
            />
            <Measure
              path={[...at('strip'), 'day']}
              spec={FIELDS.strip.day}
              value={wick.strip.day}
            />
          </Pair>
          <Says>
            By that it should have been wet{' '}
            {write(
              stripHeight(clothProperties(cloth, wick.strip), cloth.porosity, TEN_MINUTES),
              'length',
            )}{' '}
            high after ten minutes. If it was far from it, test another strip.
          </Says>
          <Button variant="ghost" onClick={() => change([{ path: at('strip'), value: null }])}>
            Use the typical values again
          </Button>
        </>
      ) : (
        <Button onClick={() => change([{ path: at('strip'), value: { ...cloth.strip } }])}>
          Enter a strip test
        </Button>
      )}
      <RemoveWick index={index} onRemove={onRemove} />
    </Group>
  );
}

function CupFields({ wick, index, onRemove }: WickFieldsProps<CupWickDesign>) {
  const { planter } = useEditor();
  const at = (key: string) => ['wicks', index, key];
  return (
    <Group title={`Wick ${index + 1}: packed cup`}>
      <Pair>
        <Measure path={at('count')} spec={FIELDS.cup.count} value={wick.count} />
        <Measure
          path={at('diameter')}
          spec={FIELDS.cup.diameter}
          value={wick.diameter}
          label="Inside, across"
        />
      </Pair>
      <Pair>
        <Measure path={at('bottom')} spec={FIELDS.cup.bottom} value={wick.bottom} />
        <Measure path={at('rim')} spec={FIELDS.cup.rim} value={wick.rim} />
      </Pair>
      <Measure path={at('foot')} spec={FIELDS.cup.foot} value={wick.foot} />
      <Tick label="A net pot: no holes to drill" checked={wick.net} path={at('net')} />
      <Spots
        path={at('at')}
        at={wick.at}
        group={planter.of('cup').find((group) => group.index === index)}
        name="Cup"
      />
      <Says>Pack it wet and tight: a dry or loose cup lifts nothing.</Says>
      <RemoveWick index={index} onRemove={onRemove} />
    </Group>
  );
}

function ColumnFields({ wick, index, onRemove }: WickFieldsProps<ColumnWickDesign>) {
  const { planter } = useEditor();
  const at = (key: string) => ['wicks', index, key];
  return (
    <Group title={`Wick ${index + 1}: columns`}>
      <Choice label="Filled with" value={wick.medium} choices={FILLS} path={at('medium')} />
      <Pair>
        <Measure path={at('count')} spec={FIELDS.column.count} value={wick.count} />
        <Measure path={at('diameter')} spec={FIELDS.column.diameter} value={wick.diameter} />
      </Pair>
      <Measure path={at('foot')} spec={FIELDS.column.foot} value={wick.foot} />
      <Spots
        path={at('at')}
        at={wick.at}
        group={planter.of('column').find((group) => group.index === index)}
        name="Column"
      />
      <RemoveWick index={index} onRemove={onRemove} />
    </Group>
  );
}

function RemoveWick({ index, onRemove }: { index: number; onRemove(): void }) {
  return (
    <Button variant="ghost" alignSelf="flex-start" onClick={onRemove}>
      Take wick {index + 1} out
    </Button>
  );
}
