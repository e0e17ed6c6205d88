import { applyPatch, STARTING_POINTS, usualPlanted, type Patch } from '../../document';
import type { CropId } from '../../catalog';
import { contradictions } from '../../assembly';
import { tell } from '../../units';
import { evaluate } from '..';

/**
 * Each of these findings once as somebody meets it: what it says in both systems, what its first remedy says and
 * does, and a planter like it but a little milder, of which nothing is said.
 */

interface Case {
  id: string;
  from: string;
  bad: Patch;
  says: string;
  us: string;
  /** What the first remedy says; none where only the person can tell what to do. */
  remedy: string | null;
  mild: Patch;
}

const set = (path: (string | number)[], value: unknown): Patch => [{ path, value }];
const grows = (...crops: [CropId, number][]): Patch =>
  set(
    ['planting', 'crops'],
    crops.map(([crop, count]) => usualPlanted(crop, count)),
  );
const cup = (measures: Record<string, number>): Patch =>
  Object.entries(measures).flatMap(([key, value]) => set(['wicks', 0, key], value));

const CASES: readonly Case[] = [
  {
    // Four legs of 80 by 3 mm are 960 mm²; packed to half that is a bunch 49 mm across, and a hole of 51.
    id: 'cloth-bunch-0',
    from: 'cloth-pail',
    bad: [...set(['wicks', 0, 'width'], 0.08), ...set(['wicks', 0, 'thickness'], 0.003)],
    says: 'Share the cloth over more holes: soil falls past a bunch 49 mm thick.',
    us: 'Share the cloth over more holes: soil falls past a bunch 1 15/16 in thick.',
    remedy: 'Share it over 2 holes',
    mild: set(['wicks', 0, 'width'], 0.08),
  },
  {
    // Six strands of 12 by 6 mm through a neck of 30 mm, of which cloth may fill 85 percent.
    id: 'cloth-bunch-0',
    from: 'bottle',
    bad: [...set(['wicks', 0, 'legs'], 6), ...set(['wicks', 0, 'width'], 0.012)],
    says: 'Use fewer or thinner strands: bunched they are 29 mm across, and the neck takes 25 mm.',
    us: 'Use fewer or thinner strands: bunched they are 1 3/16 in across, and the neck takes 1 in.',
    remedy: 'Use 4 of them',
    mild: set(['wicks', 0, 'legs'], 3),
  },
  {
    id: 'cloth-spread-0',
    from: 'cloth-pail',
    bad: set(['wicks', 0, 'spread'], 0.3),
    says: 'Spread the cloth less than 300 mm: the wall is 146 mm from the middle.',
    us: 'Spread the cloth less than 11 13/16 in: the wall is 5 3/4 in from the middle.',
    remedy: null,
    mild: set(['wicks', 0, 'spread'], 0.14),
  },
  {
    // The cup is 100 mm inside with a wall of its own: 103 mm go through, and the rim wants 2 mm on each side.
    id: 'cup-rim-0',
    from: 'cup-pail',
    bad: cup({ rim: 0.103 }),
    says: 'Take a cup with a rim of 107 mm: its hole is 103 mm, and a rim of 103 mm falls through.',
    us: 'Take a cup with a rim of 4 3/16 in: its hole is 4 1/16 in, and a rim of 4 1/16 in falls through.',
    remedy: 'Use a cup 96 mm across inside, with that rim',
    mild: cup({ rim: 0.108 }),
  },
  {
    id: 'hole-bridge',
    from: 'tote-pipes',
    bad: [
      ...set(['wicks', 0, 'at'], [{ x: 0.05, y: 0 }]),
      ...set(['fillTube', 'at'], { x: 0.15, y: 0 }),
    ],
    says: 'Move the cup 2 mm away from the edge: the sheet tears where less than 8 mm of it is left.',
    us: 'Move the cup 1/16 in away from the edge: the sheet tears where less than 5/16 in of it is left.',
    remedy: 'Let Huerta place them',
    mild: set(['fillTube', 'at'], { x: 0.15, y: 0 }),
  },
  {
    id: 'pail-without-wick',
    from: 'gutter-pails',
    bad: set(['wicks', 0, 'count'], 3),
    says: 'Give every pail a wick: 2 of 5 have none and get no water from below.',
    us: 'Give every pail a wick: 2 of 5 have none and get no water from below.',
    remedy: 'Give every pail one: 5',
    mild: [],
  },
  {
    // The lip of the gutter's overflow is at 72 mm.
    id: 'valve-high',
    from: 'gutter-pails',
    bad: set(['reservoir', 'supply', 'level'], 0.09),
    says: 'Set the valve below the lip at 72 mm: at 90 mm it lets the barrel’s 200 L run out.',
    us: 'Set the valve below the lip at 2 13/16 in: at 3 9/16 in it lets the barrel’s 52.8 gal run out.',
    remedy: 'Set the valve to 57 mm',
    mild: set(['reservoir', 'supply', 'level'], 0.071),
  },
  {
    // A hole of 12 mm marked at 95 ends at 101, and the platform is at 100.
    id: 'overflow-edge',
    from: 'cloth-pail',
    bad: set(['overflow', 'centre'], 0.095),
    says: 'Mark the overflow lower: its hole reaches 101 mm, into the platform at 100 mm.',
    us: 'Mark the overflow lower: its hole reaches 4 in, into the platform at 3 15/16 in.',
    remedy: 'Drill 3 of 8 mm instead, marked at 93 mm',
    mild: set(['overflow', 'centre'], 0.092),
  },
  {
    id: 'crate-height-0',
    from: 'nested-totes',
    bad: set(['reservoir', 'parts', 0, 'height'], 0.15),
    says: 'Cut the crates down, or raise the upper vessel’s floor: they are 150 mm high, and it is at 115 mm.',
    us: 'Cut the crates down, or raise the upper vessel’s floor: they are 5 7/8 in high, and it is at 4 1/2 in.',
    remedy: 'Raise the upper vessel’s floor to 150 mm, lip with it',
    mild: [],
  },
  {
    id: 'crate-height-0',
    from: 'nested-totes',
    bad: set(['reservoir', 'parts', 0, 'height'], 0.09),
    says: 'Lower the upper vessel’s floor onto the crates: they are 90 mm high, and it is at 115 mm.',
    us: 'Lower the upper vessel’s floor onto the crates: they are 3 9/16 in high, and it is at 4 1/2 in.',
    remedy: 'Lower the upper vessel’s floor to 90 mm, lip with it',
    mild: [],
  },
  {
    id: 'loose-over-voids',
    from: 'tank-crates',
    bad: set(['layers'], [{ what: 'coarse-sand', thickness: 0.03, up: false }]),
    says: 'Lay cloth or mesh under the coarse sand: it lies on open supports and falls through.',
    us: 'Lay cloth or mesh under the coarse sand: it lies on open supports and falls through.',
    remedy: 'Lay woven fabric under it',
    mild: [],
  },
  {
    id: 'water-share',
    from: 'stone-pot',
    bad: [...set(['reservoir', 'top'], 0.22), ...set(['overflow', 'centre'], 0.21)],
    says: 'Leave the soil more: the reservoir takes 210 mm of 370 mm, and the soil gets 125 mm.',
    us: 'Leave the soil more: the reservoir takes 8 1/4 in of 14 9/16 in, and the soil gets 4 15/16 in.',
    remedy: 'Lower the top of the base to 159 mm: leaves 3.8 L of 5.8 L to use',
    mild: [...set(['reservoir', 'top'], 0.2), ...set(['overflow', 'centre'], 0.19)],
  },
  {
    id: 'feed-worms',
    from: 'cloth-pail',
    bad: [...set(['soil', 'feed'], 'castings'), ...set(['soil', 'feedHow'], 'worms')],
    says: 'Add a worm tube in the tube’s room, or feed on top: there is none to feed through.',
    us: 'Add a worm tube in the tube’s room, or feed on top: there is none to feed through.',
    remedy: 'Give it on top',
    mild: set(['soil', 'feed'], 'castings'),
  },
  {
    id: 'feet-both',
    from: 'tote-pipes',
    bad: grows(['watercress', 1], ['rosemary', 1]),
    says: 'Give rosemary a planter of its own: it wants dry feet, and watercress wants wet ones.',
    us: 'Give rosemary a planter of its own: it wants dry feet, and watercress wants wet ones.',
    remedy: null,
    mild: grows(['watercress', 1]),
  },
  {
    id: 'lime-both',
    from: 'tote-pipes',
    bad: grows(['blueberry', 1], ['cabbage', 1]),
    says: 'Give them a planter each: blueberry wants acid soil and cabbage wants lime.',
    us: 'Give them a planter each: blueberry wants acid soil and cabbage wants lime.',
    remedy: null,
    mild: grows(['blueberry', 1]),
  },
  {
    id: 'lime-acid',
    from: 'tote-pipes',
    bad: [...grows(['blueberry', 1]), ...set(['soil', 'limeDose'], 2)],
    says: 'Leave the lime out: blueberry wants acid soil, and 2 g per L takes that away.',
    us: 'Leave the lime out: blueberry wants acid soil, and 2 oz per ft³ takes that away.',
    remedy: 'Leave the lime out',
    mild: [...grows(['cabbage', 1]), ...set(['soil', 'limeDose'], 2)],
  },
  {
    id: 'upper-poor',
    from: 'tote-pipes',
    bad: set(['soil', 'upper'], { medium: 'ground-soil', depth: 0.08 }),
    says: 'Water from the top until roots are through it: soil from the ground draws little up from the mix below.',
    us: 'Water from the top until roots are through it: soil from the ground draws little up from the mix below.',
    remedy: 'Use one mix',
    mild: set(['soil', 'upper'], { medium: 'compost-mix', depth: 0.08 }),
  },
  {
    id: 'plants-clash',
    from: 'cloth-pail',
    bad: set(['planting', 'crops', 0, 'places'], [{ x: 0.2, y: 0 }]),
    says: 'Move one plant: too near a wall, a tube or another plant.',
    us: 'Move one plant: too near a wall, a tube or another plant.',
    remedy: 'Leave their places to Huerta',
    mild: set(['planting', 'crops', 0, 'places'], [{ x: 0, y: 0 }]),
  },
];

const start = (id: string) => STARTING_POINTS.find((point) => point.id === id)!.design;
const plain = (text: string): string => text.replaceAll('\u00a0', ' ');

describe.each(CASES)('$id of $from: $says', ({ id, from, bad, says, us, remedy, mild }) => {
  const design = applyPatch(start(from), bad);
  const finding = evaluate(design).assessment.findings.find((one) => one.id === id);

  test('is said in both systems, in two lines', () => {
    expect(contradictions(design)).toEqual([]);
    expect(plain(tell(finding!.text, 'metric'))).toBe(says);
    expect(plain(tell(finding!.text, 'us'))).toBe(us);
    expect(us.length).toBeLessThanOrEqual(125);
  });

  test('is mended by what is offered', () => {
    const [first] = finding!.remedies;
    expect(first ? plain(tell(first.label, 'metric')) : null).toBe(remedy);
    for (const { patch } of finding!.remedies) {
      const left = evaluate(applyPatch(design, patch)).assessment.findings;
      expect(left.map((one) => one.id)).not.toContain(id);
    }
  });

  test('is not said of one that is a little milder', () => {
    const milder = applyPatch(start(from), mild);
    expect(contradictions(milder)).toEqual([]);
    const { findings } = evaluate(milder).assessment;
    expect(findings.map((one) => one.id)).not.toContain(id);
  });
});

test('a supply barrel is weighed beside the planter, and is a danger where the floor bears less', () => {
  const light = evaluate(start('gutter-pails')).assessment.findings;
  const said = light.find(({ id }) => id === 'supply-load')!;
  expect(said.severity).toBe('note');
  // Two hundred litres of water and nine kilograms of barrel.
  expect(plain(tell(said.text, 'metric'))).toContain('weighs 209 kg full');
  expect(plain(tell(said.text, 'us'))).toContain('weighs 460 lb full');
  const weak = applyPatch(start('gutter-pails'), set(['place', 'floorLimit'], 2000));
  const danger = evaluate(weak).assessment.findings.find(({ id }) => id === 'supply-load')!;
  expect(danger.severity).toBe('danger');
  expect(danger.remedies).toEqual([]);
});
