import { rank, type Severity } from '../../assessment';
import { HOSE_IDS, HOSES } from '../../catalog';
import { FIELDS, waterLinesOf, type WaterLine } from '../../document';
import { plural, q, say, type Message } from '../../units';
import { assessLine, type LineAssessment, type LinePlanter } from './assess';
import type { DesignsById } from './joined';

/** What is unwise about a line, with the line as it would be mended. */

export interface LineRemedy {
  label: Message;
  line: WaterLine;
}
export interface LineFinding {
  id: string;
  severity: Severity;
  /** The planter that it is about; null for the whole line. */
  planter: string | null;
  text: Message;
  /** Each ends the finding and brings no fault that was not there. */
  remedies: LineRemedy[];
}
type Draft = Omit<LineFinding, 'remedies'> & { propose?: () => LineRemedy[] };

/** How far under a lip a valve is set, metres. */
const UNDER = 0.015;
/** Head at which usual float valves open and close as they should, metres. Typical. */
const VALVE_HEAD = 0.2;
/** What a hose may take of the level on a hot afternoon, metres. */
const DROP = 0.01;
/** How much more than a hot day's thirst the valve must let in. */
const AMPLE = 3;
/** Less than this of what its own overflow would keep is little. */
const LITTLE = 0.6;
/** Lips that stand so far apart waste room, metres. */
const UNEVEN = 0.01;
/** So much lower than it can stand nobody measures, metres. */
const SINKS = 0.005;

const MM = 1000;
const up = (metres: number): number => Math.ceil(metres * MM - 1e-6) / MM;
const down = (metres: number): number => Math.floor(metres * MM + 1e-6) / MM;
const nameOf = ({ joined }: LinePlanter): string => joined.planter.design.name;
const within = (field: keyof typeof FIELDS.waterLine, value: number): boolean =>
  value >= FIELDS.waterLine[field].min && value <= FIELDS.waterLine[field].max;

const withMember = (
  line: WaterLine,
  planter: string,
  change: Partial<WaterLine['members'][number]>,
): WaterLine => ({
  ...line,
  members: line.members.map((one) => (one.planter === planter ? { ...one, ...change } : one)),
});

const setLevel = (line: WaterLine, level: number): LineRemedy[] =>
  line.supply.kind !== 'none' && within('level', level)
    ? [
        {
          label: say`Set the water to ${q(level, 'length')} above the ground`,
          line: { ...line, level },
        },
      ]
    : [];

function stand(line: WaterLine, one: LinePlanter, floor: number): LineRemedy[] {
  const { member, least } = one.joined;
  const possible = within('floor', floor) && floor >= least - SINKS;
  if (!possible || Math.abs(floor - member.floor) < 5e-4) return [];
  const by = Math.abs(floor - member.floor);
  const label =
    floor > member.floor
      ? say`Stand it ${q(by, 'length')} higher, on slabs`
      : say`Stand it ${q(by, 'length')} lower`;
  return [{ label, line: withMember(line, member.planter, { floor }) }];
}

/** Where each lip stands above the ground. */
const lipOf = ({ joined }: LinePlanter): number => joined.member.floor + joined.lip;

/** The height at which a planter would stand so that its lip is where the lowest is, or the valve under it. */
const floorFor = (line: WaterLine, one: LinePlanter, level: number): number =>
  line.supply.kind === 'none' ? level - one.joined.lip : up(level + UNDER - one.joined.lip);

/** What a check looks at. */
interface RuleInput {
  all: LineAssessment;
  designs: DesignsById;
  /** The garden’s other lines. */
  others: readonly WaterLine[];
}

/** To the level of the lowest lip, or the planter to the height of the rest. */
const toTheRest = ({ all }: RuleInput, one: LinePlanter): LineRemedy[] => {
  const { line, level, planters } = all;
  const lowest = Math.min(...planters.map(lipOf));
  const floor = floorFor(line, one, level);
  return [
    ...setLevel(line, down(lowest - UNDER)),
    ...stand(
      line,
      one,
      Math.max(floor < one.joined.member.floor ? down(floor) : floor, one.joined.least),
    ),
  ];
};

const planterFinding = (one: LinePlanter, draft: Omit<Draft, 'planter'>): Draft => ({
  ...draft,
  planter: one.joined.member.planter,
});

/** What is wrong with how a planter stands: the first thing that is. */
function standsWrong(input: RuleInput, one: LinePlanter): Draft[] {
  const { line, level } = input.all;
  const { member, least, kept } = one.joined;
  const name = nameOf(one);
  if (member.floor < least - SINKS)
    return [
      planterFinding(one, {
        id: 'too-low',
        severity: 'fault',
        text: say`${name} cannot stand so low: on the ground its inside floor is ${q(least, 'length')} above it.`,
        propose: () => stand(line, one, up(least)),
      }),
    ];
  if (!kept)
    return [
      planterFinding(one, {
        id: 'dry',
        severity: 'fault',
        text: say`${name} gets no water: its hose enters ${q(member.floor + member.port, 'length')} above the ground, and the water stands at ${q(level, 'length')}.`,
        propose: () => toTheRest(input, one),
      }),
    ];
  return holdsLittle(input, one);
}

/** Water that its wick cannot lift, or little of what would have room. */
function holdsLittle(input: RuleInput, one: LinePlanter): Draft[] {
  const { lip, level, kept, planter } = one.joined;
  const name = nameOf(one);
  const room = lip - level;
  const full = planter.storage.volumeBelow(lip);
  if (one.usable <= 0 || level <= (kept?.figures.usableLevel ?? 0) + 1e-9)
    return [
      planterFinding(one, {
        id: 'unused',
        severity: 'fault',
        text: say`${name}: the water stands ${q(level, 'length')} above its floor, too low for its wick on a hot day.`,
        propose: () => toTheRest(input, one),
      }),
    ];
  if (room <= UNEVEN + UNDER || one.holds >= LITTLE * full) return [];
  return [
    planterFinding(one, {
      id: 'little',
      severity: 'watch',
      text: say`${name} holds ${q(one.holds, 'volume')} of the ${q(full, 'volume')} that it could: the water stands ${q(room, 'length')} under its lip.`,
      propose: () => toTheRest(input, one),
    }),
  ];
}

/** The valve is set over a lip, or over several. */
function overLip({ all }: RuleInput): Draft[] {
  const { line, level, planters } = all;
  const { supply } = line;
  const over = planters.filter((one) => level > lipOf(one) - 1e-9);
  const [first] = [...over].sort((a, b) => lipOf(a) - lipOf(b));
  if (supply.kind === 'none' || !first) return [];
  const gone =
    supply.kind === 'mains' ? 'water runs out there all day' : 'the barrel runs out there';
  const whose = over.length > 1 ? `${over.length} lips lie lower; that` : 'The lip';
  return [
    {
      id: 'over-lip',
      severity: 'fault',
      planter: null,
      text: say`The water is set to ${q(level, 'length')} above the ground. ${whose} of ${nameOf(first)} is at ${q(lipOf(first), 'length')}: ${gone}.`,
      propose: () => [
        ...setLevel(line, down(lipOf(first) - UNDER)),
        ...(over.length === 1 ? stand(line, first, floorFor(line, first, level)) : []),
      ],
    },
  ];
}

/** The seal of a wall fitting is so much wider than its hose, on each side. Typical. Metres. */
const SEAL = 0.012;

/** A hole so near the floor that its fitting does not seal. */
function portLow({ all: { line } }: RuleInput, one: LinePlanter): Draft[] {
  const { member } = one.joined;
  const { bore } = HOSES[line.hose];
  const needs = up(bore / 2 + SEAL);
  if (member.port >= needs - 1e-9) return [];
  const thinner = HOSE_IDS.filter((id) => HOSES[id].bore < bore).reverse();
  return [
    planterFinding(one, {
      id: 'port-low',
      severity: 'fault',
      text: say`${nameOf(one)}: the hole for its hose is ${q(member.port, 'length')} above the floor; the fitting’s seal wants ${q(needs, 'length')}.`,
      propose: () => [
        {
          label: say`Move the hole up to ${q(needs, 'length')}`,
          line: withMember(line, member.planter, { port: needs }),
        },
        ...thinner.map((hose) => ({
          label: say`Take hose ${q(HOSES[hose].bore, 'length')} wide`,
          line: { ...line, hose },
        })),
      ],
    }),
  ];
}

function airLock({ all: { line } }: RuleInput, one: LinePlanter): Draft[] {
  const { member } = one.joined;
  if (!member.over) return [];
  return [
    planterFinding(one, {
      id: 'air-lock',
      severity: 'watch',
      text: say`The hose to ${nameOf(one)} climbs: air gathers at its highest place and stops the water. Fill it with no air in it, and look again each time the hose has come dry.`,
      propose: () => [
        {
          label: say`Lay it on the ground, without a rise`,
          line: withMember(line, member.planter, { over: false }),
        },
      ],
    }),
  ];
}

/** A planter that another water feeds, too. */
function twoWaters({ all: { line }, designs, others }: RuleInput, one: LinePlanter): Draft[] {
  const { planter } = one.joined.member;
  const rest = line.members.filter((of) => of.planter !== planter);
  const twice = planterFinding(one, {
    id: 'joined-twice',
    severity: 'fault',
    text: say`${nameOf(one)} is joined to another water, too. Leave it out of one of the two.`,
    propose: () =>
      rest.length > 1
        ? [{ label: say`Leave it out of this one`, line: { ...line, members: rest } }]
        : [],
  });
  const barrel = planterFinding(one, {
    id: 'own-barrel',
    severity: 'watch',
    text: say`${nameOf(one)} has a barrel of its own on its bench. Here it counts as taken away.`,
  });
  return [
    ...(waterLinesOf(others, planter).length > 0 ? [twice] : []),
    ...(designs[planter]?.reservoir.supply ? [barrel] : []),
  ];
}

/** The lowest barrel that lets the water in as fast as it is wanted. @returns metres above the ground */
function outletFor({ all, designs }: RuleInput): number {
  const { line, level, takes } = all;
  if (line.supply.kind !== 'barrel') return level;
  let outlet = up(level + VALVE_HEAD);
  for (let i = 0; i < 40; i += 1, outlet = up(outlet + 0.05)) {
    const tried = assessLine({ ...line, supply: { ...line.supply, outlet } }, designs);
    if ((tried.valve ?? 0) >= AMPLE * takes.hot) break;
  }
  return outlet;
}

function barrelLow(input: RuleInput): Draft[] {
  const { line, level, takes, valve } = input.all;
  const { supply } = line;
  if (supply.kind !== 'barrel') return [];
  const head = supply.outlet - level;
  if (head >= VALVE_HEAD - 1e-9 && (valve ?? 0) >= AMPLE * takes.hot) return [];
  const text =
    head <= 0
      ? say`The barrel’s outlet is not above the water in the planters: nothing runs out of it.`
      : head < VALVE_HEAD
        ? say`The barrel’s outlet is only ${q(head, 'length')} above the water: a float valve wants ${q(VALVE_HEAD, 'length')} and more to open and close well.`
        : say`With a barrel that is nearly empty the valve lets in ${q(valve ?? 0, 'flow')}: too little beside what all drink on a hot afternoon.`;
  return [
    {
      id: 'barrel-low',
      severity: 'fault',
      planter: null,
      text,
      propose: () => {
        const outlet = outletFor(input);
        return [
          {
            label: say`Stand the barrel so that its outlet is at ${q(outlet, 'length')}`,
            line: { ...line, supply: { ...supply, outlet } },
          },
        ];
      },
    },
  ];
}

/** Without a valve the lowest lip says how high the water stands. */
function uneven({ all: { line, planters } }: RuleInput): Draft[] {
  if (line.supply.kind !== 'none') return [];
  const lips = planters.map(lipOf);
  const [low, high] = [Math.min(...lips), Math.max(...lips)];
  const lowest = planters[lips.indexOf(low)];
  if (!lowest || high - low <= UNEVEN) return [];
  const level = line.members.map((one) => {
    const of = planters.find(({ joined }) => joined.member.planter === one.planter)?.joined;
    return of ? { ...one, floor: up(Math.max(high - of.lip, of.least)) } : one;
  });
  return [
    {
      id: 'uneven',
      severity: 'watch',
      planter: null,
      text: say`${nameOf(lowest)} has the lowest lip: the water runs out there while the highest lip stands ${q(high - low, 'length')} above it.`,
      propose: () => [
        { label: say`Stand all so that their lips are level`, line: { ...line, members: level } },
      ],
    },
  ];
}

function hoseThin({ all: { line, planters } }: RuleInput): Draft[] {
  const drop = Math.max(...planters.map((one) => one.drop), 0);
  if (drop <= DROP) return [];
  const wider = HOSE_IDS.filter((id) => HOSES[id].bore > HOSES[line.hose].bore);
  return [
    {
      id: 'hose-thin',
      severity: 'watch',
      planter: null,
      text: say`On a hot afternoon the hose takes ${q(drop, 'length')} of the level of the last planter.`,
      propose: () =>
        wider.map((hose) => ({
          label: say`Take hose ${q(HOSES[hose].bore, 'length')} wide`,
          line: { ...line, hose },
        })),
    },
  ];
}

function leak({ all: { planters, leak: lost } }: RuleInput): Draft[] {
  if (planters.length < 2 || lost.others <= 0) return [];
  const others = say`If one leaks, up to ${q(lost.others, 'volume')} of the others run out with it`;
  const taps = say`A tap at each hose keeps theirs.`;
  return [
    {
      id: 'leak',
      severity: 'note',
      planter: null,
      text:
        lost.barrel === null
          ? say`${others}. ${taps}`
          : say`${others}, and the barrel within ${spanOf(lost.barrel)}. ${taps}`,
    },
  ];
}

const OF_PLANTER = [standsWrong, portLow, airLock, twoWaters] as const;
const OF_LINE = [overLip, barrelLow, uneven, hoseThin, leak] as const;

/** A stretch of time in words. @param seconds */
export function spanOf(seconds: number): string {
  const minutes = Math.max(Math.round(seconds / 60), 1);
  if (minutes < 90) return `${minutes} ${plural(minutes, 'minute')}`;
  const hours = Math.round(minutes / 60);
  return hours < 48 ? `${hours} hours` : `${Math.round(hours / 24)} days`;
}

const serious = (found: readonly Pick<Draft, 'severity'>[]): number =>
  found.filter(({ severity }) => severity === 'danger' || severity === 'fault').length;

function draftsOf(input: RuleInput): Draft[] {
  return [
    ...input.all.planters.flatMap((one) => OF_PLANTER.flatMap((rule) => rule(input, one))),
    ...OF_LINE.flatMap((rule) => rule(input)),
  ];
}

/**
 * What is unwise about a line, worst first. Every remedy was tried on this very line.
 *
 * @param others the garden's other lines
 */
export function lineFindings(
  all: LineAssessment,
  designs: DesignsById,
  others: readonly WaterLine[] = [],
): LineFinding[] {
  const drafts = draftsOf({ all, designs, others });
  const faults = serious(drafts);
  const helps = ({ id, planter }: Draft, line: WaterLine): boolean => {
    const after = draftsOf({ all: assessLine(line, designs), designs, others });
    const ends = !after.some((one) => one.id === id && one.planter === planter);
    return ends && serious(after) <= faults;
  };
  return drafts
    .map(({ propose, ...draft }): LineFinding => {
      const remedies = (propose?.() ?? []).filter(({ line }) => helps(draft, line));
      return { ...draft, remedies: remedies.slice(0, 3) };
    })
    .sort((a, b) => rank(a.severity) - rank(b.severity));
}
