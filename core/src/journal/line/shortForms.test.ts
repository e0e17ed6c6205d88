import fc from 'fast-check';
import { cropCalled } from '../../catalog';
import { STARTING_POINTS } from '../../document';
import { anyDesign } from '../../testing/designs';
import { logEntry } from '../../testing/entries';
import { tell, type UnitSystem } from '../../units';
import { entryBodySchema, type EntryBody } from '../entry';
import { symptomsIn } from '../trouble';
import { linePlanterOf } from './planter';
import { readForm, SHORT_FORMS, shortFormOf, type ShortFormId } from './shortForms';

const FORMS = Object.keys(SHORT_FORMS) as ShortFormId[];
const CAN = 0.007;
const systems = fc.constantFrom<UnitSystem>('metric', 'us');
const noted = fc.oneof(
  fc.record({
    kind: fc.constant('filled' as const),
    where: fc.constant('tube' as const),
    volume: fc.double({ min: 0.001, max: 0.05, noNaN: true }),
    ran: fc.boolean(),
  }),
  fc.record({
    kind: fc.constant('fed' as const),
    what: fc.constantFrom('granules', '5-5-5', ''),
    mass: fc.option(fc.double({ min: 0.001, max: 0.5, noNaN: true })),
  }),
  fc.record({
    kind: fc.constant('harvested' as const),
    what: fc.constantFrom('tomatoes', 'mint', ''),
    mass: fc.constant(null),
    count: fc.option(fc.nat(40)),
  }),
  fc.record({
    kind: fc.constant('rain' as const),
    depth: fc.double({ min: 0, max: 0.1, noNaN: true }),
  }),
) satisfies fc.Arbitrary<EntryBody>;
const FORM_OF = { filled: 'water', fed: 'feed', harvested: 'harvest', rain: 'weather' } as const;

test('any planter and log: what was noted last of each is offered first, and every offer can be stored', () => {
  fc.assert(
    fc.property(
      anyDesign,
      fc.array(noted, { maxLength: 12 }),
      systems,
      (design, bodies, system) => {
        const planter = linePlanterOf(design);
        const entries = bodies.map((did, i) => logEntry(i, '2026-07-01', did));
        for (const form of FORMS) {
          const { offers } = shortFormOf(form, { design, entries, system, can: CAN, planter });
          expect(offers.length).toBeGreaterThan(0);
          for (const { did, words } of offers) {
            entryBodySchema.parse(did);
            expect(tell(words, system).length).toBeGreaterThan(2);
          }
          const labels = offers.map(({ words }) => tell(words, system));
          expect(new Set(labels).size).toBe(labels.length);
          const last = bodies.find((did) => FORM_OF[did.kind] === form);
          if (last) expect(offers[0]!.did).toEqual(last);
        }
      },
    ),
    { numRuns: 60 },
  );
});

test('offers of crops and of troubles are known to the year and to the guide', () => {
  for (const { design } of STARTING_POINTS) {
    const asked = {
      ...{ design, entries: [], can: CAN, planter: linePlanterOf(design) },
      system: 'metric' as const,
    };
    for (const { did } of shortFormOf('harvest', asked).offers)
      if (did.kind === 'harvested') expect(did.what === '' || cropCalled(did.what)).not.toBeNull();
    for (const { text } of shortFormOf('trouble', asked).offers)
      expect(symptomsIn(text)).not.toEqual([]);
  }
});

const { design } = STARTING_POINTS.find(({ id }) => id === 'cloth-pail')!;
const read = (form: ShortFormId, typed: string, of = '', system: UnitSystem = 'metric') =>
  readForm(form, typed, of, { system, can: CAN, planter: linePlanterOf(design) });

test.each<[ShortFormId, string, UnitSystem, Partial<Record<string, unknown>>]>([
  ['water', '1/2 can', 'metric', { kind: 'filled', volume: CAN / 2, ran: false }],
  ['water', '3', 'metric', { kind: 'filled', volume: 0.003 }],
  ['feed', '2 tbsp', 'us', { kind: 'fed', what: 'x', mass: 0.028 }],
  ['feed', '30', 'metric', { kind: 'fed', mass: 0.03 }],
  ['feed', '', 'metric', { kind: 'fed', what: 'x', mass: null }],
  ['harvest', '12', 'us', { kind: 'harvested', what: 'x', count: 12, mass: null }],
  ['harvest', '400 g', 'metric', { kind: 'harvested', mass: 0.4, count: null }],
  ['weather', '12', 'metric', { kind: 'rain', depth: 0.012 }],
  ['weather', '1/2 in', 'us', { kind: 'rain', depth: 0.0127 }],
])('%s: %s (%s)', (form, typed, system, body) => {
  const told = read(form, typed, 'x', system);
  expect(told).toMatchObject({ ok: true, doubt: null, did: body });
});

test('what cannot be read says what to type, what cannot be says so, and what is doubtful is asked', () => {
  for (const form of ['water', 'feed', 'harvest', 'weather'] as const)
    expect(read(form, 'much')).toMatchObject({ ok: false, message: expect.stringMatching(/^Say/) });
  expect(read('water', '20000 L')).toMatchObject({ ok: false });
  expect(read('water', '900 L')).toMatchObject({ doubt: expect.stringMatching(/holds/) });
  expect(read('weather', '300 mm')).toMatchObject({ doubt: expect.stringMatching(/flood/) });
});
