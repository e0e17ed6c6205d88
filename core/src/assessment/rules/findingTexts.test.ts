import { applyPatch, STARTING_POINTS, type Patch } from '../../document';
import { tell } from '../../units';
import { evaluate } from '..';

/** Findings in the words of both systems. */

const start = (id: string) => STARTING_POINTS.find((point) => point.id === id)!.design;
const plain = (text: string): string => text.replaceAll('\u00a0', ' ');

/** What a sentence may begin with: something to do. */
const LEADS = new RegExp(
  `^(${'Add|Ask|Bevel|Brace|Buy|Choose|Close|Cover|Cut|Empty|Feed|Fill|Give|Hold|Keep|Lay|Leave|Let|Level|Line|Look'}|${'Lower|Make|Mend|Moisten|Mulch|Open|Patch|Plant|Put|Raise|Share|Shorten|Stand|Store|Take|Tie|Top|Use|Water|Widen|Wrap'})\\b`,
);

/** The others, in the words of both systems: one digit of difference shows wherever two numbers are set against each other. */
const SAID: readonly (readonly [
  id: string,
  from: string,
  patch: Patch,
  says: string,
  us: string,
])[] = [
  [
    'overflow-above',
    'cloth-pail',
    [{ path: ['overflow', 'centre'], value: 0.13 }],
    'Lower the overflow’s lip: 24 mm above the platform’s underside, roots stand in water.',
    'Lower the overflow’s lip: 15/16 in above the platform’s underside, roots stand in water.',
  ],
  [
    'air-gap-small',
    'cloth-pail',
    [{ path: ['overflow', 'centre'], value: 0.101 }],
    'Leave 20 mm of air above the lip: with 5 mm roots get little air and grow into the water.',
    'Leave 13/16 in of air above the lip: with 3/16 in roots get little air and grow into the water.',
  ],
  [
    'air-gap-wide',
    'cloth-pail',
    [{ path: ['overflow', 'centre'], value: 0.05 }],
    'Raise the lip: 56 mm of air gap waste reservoir, and 20 mm are enough.',
    'Raise the lip: 2 3/16 in of air gap waste reservoir, and 13/16 in are enough.',
  ],
  [
    'overflow-missing',
    'cloth-pail',
    [{ path: ['overflow'], value: null }],
    'Add an overflow: rain falls in, and nothing stops the water below the roots.',
    'Add an overflow: rain falls in, and nothing stops the water below the roots.',
  ],
  [
    'overflow-unscreened',
    'cloth-pail',
    [{ path: ['overflow', 'screened'], value: false }],
    'Put a screen on the overflow of 12 mm: standing water breeds mosquitoes in a week.',
    'Put a screen on the overflow of 1/2 in: standing water breeds mosquitoes in a week.',
  ],
  [
    'overflow-storm',
    'cloth-pail',
    [
      { path: ['overflow', 'diameter'], value: 0.003 },
      { path: ['place', 'storm'], value: 0.00006 },
    ],
    'Widen the overflow: in rain of 216 mm an hour water climbs 134 mm over the lip.',
    'Widen the overflow: in rain of 8.5 in an hour water climbs 5 1/4 in over the lip.',
  ],
  [
    'wick-missing',
    'cloth-pail',
    [{ path: ['wicks'], value: [] }],
    'Add a wick: without one the reservoir stays full while the plants dry out.',
    'Add a wick: without one the reservoir stays full while the plants dry out.',
  ],
  [
    'wick-foot-0',
    'cloth-pail',
    [{ path: ['wicks', 0, 'foot'], value: 0.03 }],
    'Let the wick down to the floor: the 1.6 L below its foot stay there.',
    'Let the wick down to the floor: the 6 1/2 cups below its foot stay there.',
  ],
  [
    'wick-reach-0',
    'cloth-pail',
    [{ path: ['reservoir', 'top'], value: 0.2 }],
    'Shorten the way up: the wick lifts 165 mm of 203 mm, and 2 L stay below.',
    'Shorten the way up: the wick lifts 6 1/2 in of 8 in, and 0.52 gal stay below.',
  ],
  [
    'wick-weak',
    'cloth-pail',
    [{ path: ['wicks', 0, 'width'], value: 0.002 }],
    'Give it more wick: a hot day takes 1.2 L, and 0.07 L come up. Plants wilt over water.',
    'Give it more wick: a hot day takes 5 cups, and 1/4 cup come up. Plants wilt over water.',
  ],
  [
    'supports-airlock-0',
    'cup-pail',
    [{ path: ['reservoir', 'parts', 0, 'vents'], value: 'foot' }],
    'Give the tubs a hole at the top: they catch air, and 0.88 L stay empty.',
    'Give the tubs a hole at the top: they catch air, and 3 3/4 cups stay empty.',
  ],
  [
    'supports-sealed-0',
    'bottle-pail',
    [{ path: ['reservoir', 'parts', 0, 'vents'], value: 'sealed' }],
    'Open the bottles: shut all round, 1.6 L hold no water and push up with 1.6 kg.',
    'Open the bottles: shut all round, 6 3/4 cups hold no water and push up with 3.6 lb.',
  ],
  [
    'supports-crowded-0',
    'bottle-pail',
    [{ path: ['reservoir', 'parts', 0, 'count'], value: 40 }],
    'Use fewer or smaller ones: of 40 bottles of 65 mm, 11 have room.',
    'Use fewer or smaller ones: of 40 bottles of 2 9/16 in, 11 have room.',
  ],
  [
    'platform-sags',
    'cloth-pail',
    [{ path: ['reservoir', 'thickness'], value: 0.001 }],
    'Stand more under the platform: it spans 151 mm and sags beyond 60 mm.',
    'Stand more under the platform: it spans 5 15/16 in and sags beyond 2 3/8 in.',
  ],
  [
    'roots-short',
    'cloth-pail',
    [
      { path: ['planting', 'crops', 0, 'crop'], value: 'tomato' },
      { path: ['place', 'daysAway'], value: 1 },
    ],
    'Give tomato deeper soil: it wants 28 cm of root room and gets 24 cm.',
    'Give tomato deeper soil: it wants 11 in of root room and gets 9 7/16 in.',
  ],
  [
    'days-short',
    'cup-pail',
    [{ path: ['place', 'daysAway'], value: 5 }],
    'Store more water: in hot weather it reads low after 4 days, and you asked for 5 days.',
    'Store more water: in hot weather it reads low after 4 days, and you asked for 5 days.',
  ],
  [
    'stranded',
    'cloth-pail',
    [{ path: ['wicks', 0, 'spread'], value: 0.2 }],
    'Fill it at 44 mm: the last 2.3 L of 4.2 L come up too slowly in heat.',
    'Fill it at 1 11/16 in: the last 0.6 gal of 1.1 gal come up too slowly in heat.',
  ],
  [
    'tube-missing',
    'cloth-pail',
    [{ path: ['fillTube'], value: null }],
    'Add a fill tube: without one nothing can be dipped, and water washes soil down.',
    'Add a fill tube: without one nothing can be dipped, and water washes soil down.',
  ],
  [
    'tube-hole-small',
    'cloth-pail',
    [{ path: ['fillTube', 'hole'], value: 0.03 }],
    'Make the tube’s hole wider: it is 30 mm, and its pipe is 32 mm outside.',
    'Make the tube’s hole wider: it is 1 3/16 in, and its pipe is 1 1/4 in outside.',
  ],
  [
    'tube-hole-large',
    'cloth-pail',
    [{ path: ['fillTube', 'hole'], value: 0.06 }],
    'Make the tube’s hole smaller: it is 28 mm wider than the pipe, and soil falls past it.',
    'Make the tube’s hole smaller: it is 1 1/8 in wider than the pipe, and soil falls past it.',
  ],
  [
    'tube-short',
    'cloth-pail',
    [{ path: ['fillTube', 'length'], value: 0.36 }],
    'Cut the tube 468 mm long: 28 mm shorter it ends below the rim, and soil falls in.',
    'Cut the tube 18 7/16 in long: 1 1/8 in shorter it ends below the rim, and soil falls in.',
  ],
  [
    'tube-foot',
    'cloth-pail',
    [{ path: ['fillTube', 'foot'], value: 'square' }],
    'Bevel or notch the tube’s foot: cut square it can seal itself against the floor.',
    'Bevel or notch the tube’s foot: cut square it can seal itself against the floor.',
  ],
  [
    'tube-open',
    'cloth-pail',
    [{ path: ['fillTube', 'cap'], value: 'open' }],
    'Close the tube between fills: mosquitoes breed in an open reservoir.',
    'Close the tube between fills: mosquitoes breed in an open reservoir.',
  ],
  [
    'mix-poor',
    'cloth-pail',
    [{ path: ['soil', 'medium'], value: 'ground-soil' }],
    'Keep soil from the ground loose: it packs over water, and yellow leaves or a sour smell say that roots lack air.',
    'Keep soil from the ground loose: it packs over water, and yellow leaves or a sour smell say that roots lack air.',
  ],
  [
    'mix-poor',
    'cloth-pail',
    [
      {
        path: ['soil', 'recipe'],
        value: { parts: [{ what: 'hulls', parts: 1 }], measured: null },
      },
    ],
    'Add fine stuff to this mix: water hardly rises in it, and the top stays dry over a full reservoir.',
    'Add fine stuff to this mix: water hardly rises in it, and the top stays dry over a full reservoir.',
  ],
  [
    'overflow-edge',
    'coil-barrel',
    [{ path: ['overflow', 'centre'], value: 0.09 }],
    'Lay fabric over the overflow inside: it opens to 103 mm, over the top of the base at 90 mm, and leaves roots no air.',
    'Lay fabric over the overflow inside: it opens to 4 1/16 in, over the top of the base at 3 9/16 in, and leaves roots no air.',
  ],
  [
    'dry-fill',
    'cloth-pail',
    [{ path: ['soil', 'moistened'], value: false }],
    'Moisten the mix and water each layer: dry it sheds water and leaves gaps no wick crosses.',
    'Moisten the mix and water each layer: dry it sheds water and leaves gaps no wick crosses.',
  ],
  [
    'settlement',
    'cloth-pail',
    [{ path: ['soil', 'settlement'], value: 0 }],
    'Buy more mix: coir mix with perlite settles by about 12%, and you allow 0%.',
    'Buy more mix: coir mix with perlite settles by about 12%, and you allow 0%.',
  ],
  [
    'freeboard',
    'cloth-pail',
    [{ path: ['soil', 'freeboard'], value: 0 }],
    'Leave more freeboard: with 0 mm water from the top runs over the rim before it soaks in.',
    'Leave more freeboard: with 0 in water from the top runs over the rim before it soaks in.',
  ],
  [
    'separator-film',
    'cloth-pail',
    [{ path: ['layers', 0, 'what'], value: 'film' }],
    'Use woven fabric, mesh or straw: a film passes no water, rain stands on it and the soil rots.',
    'Use woven fabric, mesh or straw: a film passes no water, rain stands on it and the soil rots.',
  ],
  [
    'separator-none',
    'cloth-pail',
    [{ path: ['layers'], value: [] }],
    'Lay fabric or mesh under the soil, or it washes down and fills the reservoir.',
    'Lay fabric or mesh under the soil, or it washes down and fills the reservoir.',
  ],
  [
    'mulch-none',
    'cloth-pail',
    [{ path: ['soil', 'mulch'], value: 'none' }],
    'Mulch it: a bare surface dries out, and salts build up on it.',
    'Mulch it: a bare surface dries out, and salts build up on it.',
  ],
  [
    'drain-hole',
    'cloth-pail',
    [{ path: ['vessel', 'drainHole'], value: 'open' }],
    'Patch the old hole in the floor and leak-test it before any soil: it lets all 4.2 L out.',
    'Patch the old hole in the floor and leak-test it before any soil: it lets all 1.1 gal out.',
  ],
  [
    'dark-wall',
    'cloth-pail',
    [{ path: ['vessel', 'colour'], value: 'dark' }],
    'Wrap the wall, paint it light or shade it: dark and in full sun it cooks the roots.',
    'Wrap the wall, paint it light or shade it: dark and in full sun it cooks the roots.',
  ],
  [
    'clear-wall',
    'cloth-pail',
    [{ path: ['vessel', 'colour'], value: 'clear' }],
    'Wrap or paint the wall: light gets through, and algae take the roots’ air.',
    'Wrap or paint the wall: light gets through, and algae take the roots’ air.',
  ],
  [
    'level-wet',
    'cloth-pail',
    [{ path: ['place', 'slopeAcross'], value: 0.1 }],
    'Level it: water stands 6.2 mm above the base at the low end.',
    'Level it: water stands 1/4 in above the base at the low end.',
  ],
  [
    'level-loss',
    'cloth-pail',
    [{ path: ['place', 'slopeAcross'], value: 0.03 }],
    'Level it: the water stands 80 mm to 88 mm deep.',
    'Level it: the water stands 3 1/8 in to 3 7/16 in deep.',
  ],
  [
    'cracked',
    'tote-pipes',
    [{ path: ['vessel', 'cracked'], value: 'open' }],
    'Mend the crack and leak-test it for a day, or choose another vessel: 11.3 L press on it.',
    'Mend the crack and leak-test it for a day, or choose another vessel: 3 gal press on it.',
  ],
  [
    'soft-wall',
    'tote-pipes',
    [{ path: ['vessel', 'rigid'], value: false }],
    'Brace the soft wall across the top: 54 cm between corners bulge, and the platform drops.',
    'Brace the soft wall across the top: 21 1/4 in between corners bulge, and the platform drops.',
  ],
  [
    'liner-none',
    'film-bed',
    [{ path: ['vessel', 'liner'], value: 'none' }],
    'Line it: boards hold no water, so all 74.1 L run out and the wood rots.',
    'Line it: boards hold no water, so all 19.6 gal run out and the wood rots.',
  ],
  [
    'liner-thin',
    'film-bed',
    [],
    'Lay the film double on sand or old carpet, or use pond liner: it is thin for what lies on it.',
    'Lay the film double on sand or old carpet, or use pond liner: it is thin for what lies on it.',
  ],
  [
    'liner-sharp',
    'film-bed',
    [{ path: ['reservoir', 'fill', 0, 'medium'], value: 'crushed-stone' }],
    'Lay old carpet or sand on the liner: sharp stone under wet soil goes through film.',
    'Lay old carpet or sand on the liner: sharp stone under wet soil goes through film.',
  ],
  [
    'roots-first',
    'rock-bed',
    [{ path: ['wicks'], value: [] }],
    'Water from the top for the first 4 weeks: until roots are down, none of 191 L come up.',
    'Water from the top for the first 4 weeks: until roots are down, none of 50.4 gal come up.',
  ],
  [
    'wicks-crowded-0',
    'tote-pipes',
    [{ path: ['wicks', 0, 'count'], value: 20 }],
    'Use fewer or smaller ones: only 11 of 20 cups of 110 mm have room.',
    'Use fewer or smaller ones: only 11 of 20 cups of 4 5/16 in have room.',
  ],
  [
    'fabric-sags',
    'pot-tub',
    [{ path: ['reservoir', 'parts', 0, 'count'], value: 1 }],
    'Put something under the fabric: it spans 259 mm and sags beyond about 120 mm.',
    'Put something under the fabric: it spans 10 3/16 in and sags beyond about 4 3/4 in.',
  ],
  [
    'plants-crowded',
    'cloth-pail',
    [{ path: ['planting', 'crops', 0, 'count'], value: 6 }],
    'Plant fewer: at 35 cm from plant to plant 1 of 6 sweet pepper plants have room.',
    'Plant fewer: at 14 in from plant to plant 1 of 6 sweet pepper plants have room.',
  ],
  [
    'pipe-open-0',
    'nested-totes',
    [{ path: ['pipes', 0, 'capped'], value: false }],
    'Cover the worm tube: open, it draws flies to the scraps.',
    'Cover the worm tube: open, it draws flies to the scraps.',
  ],
  [
    'openings-low',
    'panel-barrel',
    [{ path: ['soil', 'freeboard'], value: 0.1 }],
    'Fill in less soil: the 30 mm of side above it are too low for the openings.',
    'Fill in less soil: the 1 3/16 in of side above it are too low for the openings.',
  ],
  [
    'contents-harmful',
    'cloth-pail',
    [{ path: ['vessel', 'formerContents'], value: 'harmful' }],
    'Choose another vessel: it held something harmful, which the wall gives back to soil and roots.',
    'Choose another vessel: it held something harmful, which the wall gives back to soil and roots.',
  ],
  [
    'contents-unknown',
    'cloth-pail',
    [{ path: ['vessel', 'formerContents'], value: 'unknown' }],
    'Use only a vessel that is new or held food: nobody knows what this one held.',
    'Use only a vessel that is new or held food: nobody knows what this one held.',
  ],
  [
    'plastic-code',
    'cloth-pail',
    [{ path: ['vessel', 'material'], value: 'unknown' }],
    'Look for 1, 2, 4 or 5 in the triangle on its base: of other plastic nobody knows what it gives to food.',
    'Look for 1, 2, 4 or 5 in the triangle on its base: of other plastic nobody knows what it gives to food.',
  ],
  [
    'plastic-code',
    'cloth-pail',
    [{ path: ['vessel', 'material'], value: 'treated-wood' }],
    'Keep a whole liner between, or use untreated boards: this timber gives its poison to food.',
    'Keep a whole liner between, or use untreated boards: this timber gives its poison to food.',
  ],
  [
    'floor-load',
    'cloth-pail',
    [{ path: ['place', 'floorLimit'], value: 1000 }],
    'Ask a structural engineer first: full it presses 323 kg/m², on a floor for 102 kg/m².',
    'Ask a structural engineer first: full it presses 66 lb/ft², on a floor for 21 lb/ft².',
  ],
  [
    'lift',
    'cloth-pail',
    [{ path: ['place', 'liftLimit'], value: 10 }],
    'Put it in its place first, then fill it: full it weighs 18 kg, and you can lift 10 kg.',
    'Put it in its place first, then fill it: full it weighs 40 lb, and you can lift 22 lb.',
  ],
  [
    'frost',
    'cloth-pail',
    [{ path: ['place', 'frost'], value: true }],
    'Empty it and open the overflow before the first frost, or ice will split the vessel.',
    'Empty it and open the overflow before the first frost, or ice will split the vessel.',
  ],
  [
    'thin-wall',
    'cloth-pail',
    [{ path: ['vessel', 'wall'], value: 0.0005 }],
    'Stand it inside something and never move it full: its wall is thin for 17 kg and cracks.',
    'Stand it inside something and never move it full: its wall is thin for 38 lb and cracks.',
  ],
  [
    'carry',
    'cloth-pail',
    [
      { path: ['vessel', 'material'], value: 'metal' },
      { path: ['vessel', 'wall'], value: 0.012 },
    ],
    'Take two people to put it in its place: empty it already weighs 37 kg.',
    'Take two people to put it in its place: empty it already weighs 82 lb.',
  ],
  [
    'full-of-stone',
    'rock-bed',
    [],
    'Lay pipes, boxes or bottles in the stone: the base looks like 464 L and holds 185 L.',
    'Lay pipes, boxes or bottles in the stone: the base looks like 122 gal and holds 48.9 gal.',
  ],
  [
    'valve-mains',
    'gutter-pails',
    [],
    'Feed the valve from a barrel: mains need a licensed plumber and a backflow guard.',
    'Feed the valve from a barrel: mains need a licensed plumber and a backflow guard.',
  ],
  [
    'open-tray',
    'bag-tray',
    [],
    'Cover the water round the bags: mosquitoes breed in it, and 0.11 L a day dries up.',
    'Cover the water round the bags: mosquitoes breed in it, and 1/2 cup a day dries up.',
  ],
  [
    'soil-deep',
    'cut-barrel',
    [],
    'Water seedlings from the top: only the lower 32 cm of 37.1 cm get wet from below.',
    'Water seedlings from the top: only the lower 12 5/8 in of 14 5/8 in get wet from below.',
  ],
  [
    'upper-deep',
    'tote-pipes',
    [{ path: ['soil', 'upper'], value: { medium: 'compost-mix', depth: 0.3 } }],
    'Make the upper mix thinner: 300 mm of it in 222 mm of soil leave nothing of the lower.',
    'Make the upper mix thinner: 11 13/16 in of it in 8 3/4 in of soil leave nothing of the lower.',
  ],
  [
    'feed-liquid',
    'cloth-pail',
    [
      { path: ['soil', 'feed'], value: 'liquid' },
      { path: ['soil', 'feedHow'], value: 'tube' },
    ],
    'Feed on top: what goes down the tube grows algae, smells, and its salts collect.',
    'Feed on top: what goes down the tube grows algae, smells, and its salts collect.',
  ],
  [
    'support-0',
    'cut-barrel',
    [],
    'Hold tomato up: it grows to 170 cm and does not stand by itself.',
    'Hold tomato up: it grows to 67 in and does not stand by itself.',
  ],
];

describe.each(SAID)('%s of %s', (id, from, patch, says, us) => {
  const design = applyPatch(start(from), patch);
  const { text } = evaluate(design).assessment.findings.find((one) => one.id === id)!;

  test('is said so, in two lines', () => {
    expect(plain(tell(text, 'metric'))).toBe(says);
    expect(plain(tell(text, 'us'))).toBe(us);
    for (const words of [says, us]) expect(words.length).toBeLessThanOrEqual(125);
  });

  test('never sets a number against the same number', () => {
    for (const words of [says, us]) {
      const measures = words.match(/\d[\d./ ]* (?:mm|cm|in|kg|lb|L|gal|km\/h|mph)\b/g) ?? [];
      expect(new Set(measures).size).toBe(measures.length);
    }
  });

  test('is led by what to do', () => {
    // Notes and dangers too: a verb, or for whom it is.
    expect(says).toMatch(LEADS);
  });
});
