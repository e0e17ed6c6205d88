import { Box, Button, Field, Input, Text } from '@chakra-ui/react';
import {
  cropOf,
  RAIN,
  SPOT,
  SUN,
  vesselName,
  WIND,
  type CropId,
  type VesselId,
} from '@huerta/core/catalog';
import { FIELDS, type FieldSpec } from '@huerta/core/document';
import {
  BASE_SCHOOLS,
  MOST_CROPS,
  MOST_DAYS,
  monthName,
  readMeans,
  TOOLS,
  TOOL_IDS,
  WICK_SCHOOLS,
  type PlanWish,
  type ToolId,
} from '@huerta/core/planning/plans';
import { Minus, Plus, X } from 'lucide-react';
import { useState, type FormEvent } from 'react';
import { useVessels } from '../../data/api/vessels';
import { ChoiceField, TickField } from '../../ui/ChoiceField';
import { CropChoice } from '../../ui/CropChoice';
import { GroupedChoice } from '../../ui/GroupedChoice';
import { useWords } from '../../ui/preferences';
import { QuantityField } from '../../ui/QuantityField';
import { meansWords, vesselChoice, withRead, withVessel } from './counts';

export interface QuestionProps {
  wish: PlanWish;
  onChange(part: Partial<PlanWish>): void;
}

/** Vessels, things that lie about, and tools. */
export function HasQuestion({ wish, onChange }: QuestionProps) {
  const words = useWords();
  const { units } = words;
  const { data: mine = [] } = useVessels();
  const drop = <T,>(list: readonly T[], i: number): T[] => list.filter((_, k) => k !== i);
  return (
    <div className="plans-fields">
      <MeansLine wish={wish} onChange={onChange} />
      <ul className="plans-list" aria-label="What there is">
        {wish.vessels.map(({ vessel, count }) => (
          <Counted
            key={vessel}
            name={vesselName(vessel, units)}
            count={count}
            onMore={(more) => onChange({ vessels: withVessel(wish.vessels, vessel, more) })}
          />
        ))}
        {wish.own.map((one, i) => (
          <Counted
            key={one.name}
            name={one.name}
            count={one.count}
            onMore={(more) =>
              onChange({
                own:
                  one.count + more < 1
                    ? drop(wish.own, i)
                    : wish.own.map((other) =>
                        other === one ? { ...one, count: one.count + more } : other,
                      ),
              })
            }
          />
        ))}
        {wish.means.map((held, i) => (
          <li key={`${held.what} ${i}`}>
            <span>{meansWords(held, words)}</span>
            <Button
              size="sm"
              variant="ghost"
              aria-label={`Take out: ${meansWords(held, words)}`}
              onClick={() => onChange({ means: drop(wish.means, i) })}
            >
              <X size={18} aria-hidden />
            </Button>
          </li>
        ))}
      </ul>
      <div className="plans-row">
        <Box w="18rem" maxW="100%">
          <GroupedChoice
            label="Add a vessel"
            value=""
            groups={[
              { label: 'Choose', options: [{ value: '', label: 'A usual size' }] },
              {
                label: 'My vessels',
                options: mine.map(({ id, name }) => ({ value: `own:${id}`, label: name })),
              },
              { label: 'Usual sizes', options: vesselChoice(units) },
            ]}
            onChoose={(chosen) => {
              const own = mine.find(({ id }) => chosen === `own:${id}`);
              if (own && !wish.own.some(({ name }) => name === own.name))
                onChange({ own: [...wish.own, { name: own.name, vessel: own.vessel, count: 1 }] });
              else if (chosen !== '' && !own)
                onChange({ vessels: withVessel(wish.vessels, chosen as VesselId, 1) });
            }}
          />
        </Box>
        <TickField
          label="Vessels may be bought"
          checked={wish.buys}
          onTick={(buys) => onChange({ buys })}
        />
      </div>
      <Tools tools={wish.tools} onChange={(tools) => onChange({ tools })} />
    </div>
  );
}

const EXAMPLE = {
  metric: '2 totes 60 L, 3 m of 100 mm pipe, old shirts',
  us: '2 totes 18 gal, 10 ft of 4 in pipe, old shirts',
} as const;

/** What there is, as one says it. */
function MeansLine({ wish, onChange }: QuestionProps) {
  const { units } = useWords();
  const [line, setLine] = useState('');
  const [unread, setUnread] = useState<readonly string[]>([]);
  const take = (event: FormEvent) => {
    event.preventDefault();
    const read = readMeans(line);
    onChange(withRead(wish, read));
    setUnread(read.unread);
    setLine(read.unread.join(', '));
  };
  return (
    <form onSubmit={take}>
      <Field.Root invalid={unread.length > 0}>
        <Field.Label>Say it in a line</Field.Label>
        <Box className="plans-line">
          <Input
            value={line}
            placeholder={EXAMPLE[units]}
            autoComplete="off"
            onChange={(event) => {
              setLine(event.target.value);
              setUnread([]);
            }}
          />
          <Button type="submit" disabled={line.trim() === ''}>
            Add
          </Button>
        </Box>
        {unread.length > 0 && (
          <Field.ErrorText>
            Not understood: {unread.join(', ')}. Name a vessel or a thing with how many or how much.
          </Field.ErrorText>
        )}
      </Field.Root>
    </form>
  );
}

interface CountedProps {
  name: string;
  count: number;
  onMore(more: number): void;
}

/** A thing with its number, to be changed by presses. */
function Counted({ name, count, onMore }: CountedProps) {
  return (
    <li>
      <span>
        <b>{count}</b> × {name}
      </span>
      <Button size="sm" aria-label={`One less: ${name}`} onClick={() => onMore(-1)}>
        <Minus size={18} aria-hidden />
      </Button>
      <Button size="sm" aria-label={`One more: ${name}`} onClick={() => onMore(1)}>
        <Plus size={18} aria-hidden />
      </Button>
    </li>
  );
}

function Tools({
  tools,
  onChange,
}: {
  tools: PlanWish['tools'];
  onChange(tools: PlanWish['tools']): void;
}) {
  const has = (id: ToolId): boolean => tools === null || tools.includes(id);
  return (
    <fieldset className="plans-tools">
      <legend>Tools you have</legend>
      {TOOL_IDS.map((id) => (
        <TickField
          key={id}
          label={TOOLS[id].name}
          checked={has(id)}
          onTick={(ticked) => {
            const next = TOOL_IDS.filter((other) => (other === id ? ticked : has(other)));
            onChange(next.length === TOOL_IDS.length ? null : next);
          }}
        />
      ))}
    </fieldset>
  );
}

/** What is often wanted together. Numbers are typical of a small household. */
const USUAL_WANTS: readonly { name: string; crops: PlanWish['crops'] }[] = [
  {
    name: 'Salad for two',
    crops: [
      { crop: 'lettuce', count: 8 },
      { crop: 'radish', count: 16 },
      { crop: 'chives', count: 2 },
    ],
  },
  {
    name: 'Tomatoes and basil',
    crops: [
      { crop: 'tomato', count: 2 },
      { crop: 'basil', count: 3 },
    ],
  },
  {
    name: 'Kitchen herbs',
    crops: [
      { crop: 'parsley', count: 3 },
      { crop: 'chives', count: 2 },
      { crop: 'basil', count: 3 },
    ],
  },
];

/** Crops and how many of each. */
export function WantsQuestion({ wish, onChange }: QuestionProps) {
  const { say } = useWords();
  const add = (crop: CropId, more: number): PlanWish['crops'] => {
    const known = wish.crops.find((one) => one.crop === crop);
    if (!known) return more > 0 ? [...wish.crops, { crop, count: more }] : [...wish.crops];
    const count = known.count + more;
    return count > 0
      ? wish.crops.map((one) => (one === known ? { crop, count } : one))
      : wish.crops.filter((one) => one !== known);
  };
  return (
    <div className="plans-fields">
      <div className="plans-row">
        {USUAL_WANTS.map(({ name, crops }) => (
          <Button key={name} onClick={() => onChange({ crops: [...crops] })}>
            {name}
          </Button>
        ))}
      </div>
      <ul className="plans-list" aria-label="What you want">
        {wish.crops.map(({ crop, count }) => (
          <Counted
            key={crop}
            name={say(cropOf(crop).name)}
            count={count}
            onMore={(more) => onChange({ crops: add(crop, more) })}
          />
        ))}
      </ul>
      {wish.crops.length < MOST_CROPS ? (
        <Box maxW="22rem">
          <CropChoice
            label="Add a crop"
            value={null}
            onChoose={(crop, own) => onChange({ crops: add(own?.like ?? crop, 1) })}
          />
        </Box>
      ) : (
        <Text>So many crops are planned at once: take one out to add another.</Text>
      )}
    </div>
  );
}

const FLOOR: Readonly<Record<'length' | 'width', FieldSpec>> = {
  length: { label: 'Room, long', kind: 'span', min: 0.1, max: 30 },
  width: { label: 'and deep', kind: 'span', min: 0.1, max: 30 },
};
/** A usual balcony, metres, and what such a floor is built to bear, Pa (EN 1991-1-1 Table 6.2, category A, balconies). */
const BALCONY = { length: 2.4, width: 0.9 };
const BEARS = 2500;

/** The place, its floor and what can be lifted. */
export function PlaceQuestion({ wish, onChange }: QuestionProps) {
  const { place, floor, floorLimit } = wish;
  const put = (part: Partial<PlanWish['place']>) => onChange({ place: { ...place, ...part } });
  return (
    <div className="plans-fields is-columns">
      <ChoiceField
        label="Stands on"
        value={place.spot}
        choices={SPOT}
        onChoose={(spot) => put({ spot })}
      />
      <ChoiceField label="Sun" value={place.sun} choices={SUN} onChoose={(sun) => put({ sun })} />
      <ChoiceField
        label="Wind"
        value={place.wind}
        choices={WIND}
        onChoose={(wind) => put({ wind })}
      />
      <ChoiceField
        label="Rain"
        value={place.rain}
        choices={RAIN}
        onChoose={(rain) => put({ rain })}
      />
      <QuantityField
        spec={FIELDS.place.liftLimit}
        value={wish.lift}
        onCommit={(lift) => {
          onChange({ lift });
          return null;
        }}
      />
      <div>
        <TickField
          label="Only so much room"
          checked={floor !== null}
          onTick={(ticked) => onChange({ floor: ticked ? BALCONY : null })}
        />
        {floor && (
          <Box className="plans-pair">
            {(['length', 'width'] as const).map((side) => (
              <QuantityField
                key={side}
                spec={FLOOR[side]}
                value={floor[side]}
                onCommit={(value) => {
                  onChange({ floor: { ...floor, [side]: value } });
                  return null;
                }}
              />
            ))}
          </Box>
        )}
      </div>
      <div>
        <TickField
          label="The floor bears only so much"
          checked={floorLimit !== null}
          onTick={(ticked) => onChange({ floorLimit: ticked ? BEARS : null })}
        />
        {floorLimit !== null && (
          <QuantityField
            spec={FIELDS.place.floorLimit}
            value={floorLimit}
            help="Ask the building’s owner or a structural engineer: Huerta gives the load, never permission."
            onCommit={(value) => {
              onChange({ floorLimit: value });
              return null;
            }}
          />
        )}
      </div>
    </div>
  );
}

const DAYS: FieldSpec = { label: 'Days to be away', kind: 'days', min: 0, max: MOST_DAYS };
const SPEND: FieldSpec = { label: 'Spend at most', kind: 'ratio', min: 0, max: 100_000 };
const WORK: FieldSpec = { label: 'Work at most, hours', kind: 'ratio', min: 0, max: 500 };
const USUAL_SPEND = 50;
const USUAL_HOURS = 4;
const MONTH_CHOICES = Object.fromEntries(
  Array.from({ length: 12 }, (_, i) => [`${i + 1}`, { name: monthName(i + 1) }]),
);

/** Days, month, money, time and how it is to be built. */
export function MattersQuestion({
  wish,
  onChange,
  currency,
}: QuestionProps & { currency: string }) {
  return (
    <div className="plans-fields is-columns">
      <QuantityField
        spec={DAYS}
        value={wish.days}
        onCommit={(days) => {
          onChange({ days: Math.round(days) });
          return null;
        }}
      />
      <ChoiceField
        label="In"
        value={`${wish.month}`}
        choices={MONTH_CHOICES}
        onChoose={(month) => onChange({ month: Number(month) })}
      />
      <Limit
        label="Only so much money"
        spec={{ ...SPEND, label: `${SPEND.label}, ${currency}` }}
        value={wish.budget}
        usual={USUAL_SPEND}
        onChange={(budget) => onChange({ budget })}
      />
      <Limit
        label="Only so much time"
        spec={WORK}
        value={wish.hours}
        usual={USUAL_HOURS}
        onChange={(hours) => onChange({ hours })}
      />
      <ChoiceField
        label="Under the soil"
        value={wish.base}
        choices={BASE_SCHOOLS}
        onChoose={(base) => onChange({ base })}
      />
      <ChoiceField
        label="Water comes up by"
        value={wish.wick}
        choices={WICK_SCHOOLS}
        onChoose={(wick) => onChange({ wick })}
      />
      <TickField
        label="No plastic in sight"
        checked={wish.noPlastic}
        onTick={(noPlastic) => onChange({ noPlastic })}
      />
    </div>
  );
}

interface LimitProps {
  label: string;
  spec: FieldSpec;
  value: number | null;
  usual: number;
  onChange(value: number | null): void;
}

/** A limit that is set only where it matters. */
function Limit({ label, spec, value, usual, onChange }: LimitProps) {
  return (
    <div>
      <TickField
        label={label}
        checked={value !== null}
        onTick={(ticked) => onChange(ticked ? usual : null)}
      />
      {value !== null && (
        <QuantityField
          spec={spec}
          value={value}
          onCommit={(next) => {
            onChange(next);
            return null;
          }}
        />
      )}
    </div>
  );
}
