/**
 * The choices a gardener makes that are names rather than numbers, with the words for them and the
 * typical values that hang on each.
 */

/** Sheets and straw that lie between water and roots; sand and stone may lie there too. */
export const SHEETS = {
  fabric: { name: 'Woven fabric', passes: true },
  mesh: { name: 'Fine mesh or shade cloth', passes: true },
  felt: { name: 'Felt', passes: true },
  carpet: { name: 'Old carpet, natural fibre', passes: true },
  straw: { name: 'Straw or coarse mulch', passes: true },
  film: { name: 'Plastic film', passes: false },
} as const;
export type SheetId = keyof typeof SHEETS;

export const FORMER_CONTENTS = {
  new: { name: 'New, never held anything' },
  food: { name: 'Food or drink' },
  unknown: { name: 'Not known' },
  harmful: { name: 'Paint, solvent or poison' },
} as const;

export const MATERIALS = {
  pe: { name: 'Polyethylene (code 2 or 4)' },
  pp: { name: 'Polypropylene (code 5)' },
  pet: { name: 'PET (code 1)' },
  other: { name: 'Other plastic (3, 6 or 7)' },
  unknown: { name: 'Plastic without a code' },
  clay: { name: 'Clay, stone or concrete' },
  metal: { name: 'Galvanised or other metal' },
  wood: { name: 'Untreated timber' },
  'treated-wood': { name: 'Treated or unknown timber' },
} as const;

/** Density of what vessels are made of, kg/m³. Typical. */
export const MATERIAL_DENSITY: Readonly<Record<keyof typeof MATERIALS, number>> = {
  pe: 950,
  pp: 910,
  pet: 1380,
  other: 1100,
  unknown: 950,
  clay: 2000,
  metal: 7800,
  wood: 480,
  'treated-wood': 520,
};

/** What keeps the water in a framed box. */
export const LINERS = {
  pond: { name: 'Pond liner' },
  film: { name: 'Builder’s film' },
  none: { name: 'No liner' },
} as const;

export const COLOURS = {
  light: { name: 'Light' },
  dark: { name: 'Dark' },
  clear: { name: 'Clear, or lets light through' },
} as const;

/**
 * Sun, wind and spot multiply a field's demand: small vessels stand in warmer and windier air than a
 * field does. Typical values.
 */
export const SUN = {
  full: { name: 'Full sun', factor: 1 },
  half: { name: 'Half the day', factor: 0.8 },
  shade: { name: 'Bright shade', factor: 0.6 },
} as const;

/** `factor`: on thirst; `gust`: the gust that comes a few times in a season, m/s. Typical. */
export const WIND = {
  calm: { name: 'Sheltered', factor: 1, gust: 8 },
  breezy: { name: 'Open', factor: 1.05, gust: 14 },
  windy: { name: 'Windy', factor: 1.15, gust: 21 },
} as const;

export const SPOT = {
  ground: { name: 'Soil, grass or deck', factor: 1 },
  paving: { name: 'Paving or roof', factor: 1.15 },
  wall: { name: 'At a sunny wall', factor: 1.24 },
  cool: { name: 'At a cool wall', factor: 0.9 },
} as const;

export const RAIN = {
  open: { name: 'Open to the rain', factor: 1 },
  covered: { name: 'Under cover', factor: 0.9 },
  indoors: { name: 'Indoors', factor: 0.6 },
} as const;

/**
 * Evaporation from the soil surface as a share of reference evapotranspiration. A surface wetted
 * from below is damp rather than wet, so the bare value is well under FAO-56's wet-soil limit
 * (chapter 7); FAO-56 chapter 11 cuts evaporation with mulch. Typical values.
 */
export const MULCHES = {
  none: { name: 'Bare', evaporation: 0.2 },
  straw: { name: 'Straw or chip', evaporation: 0.06 },
  cover: { name: 'Cover with plant holes', evaporation: 0.01 },
} as const;

/**
 * What feeds the plants. `nitrogen`: usual share by mass, the first of the three numbers on the bag;
 * `density`: what a cup of it weighs, kg/m³; `lasts`: days until it is given again, 0 where it never is. Typical.
 */
export const FEEDS = {
  none: { name: 'None yet', nitrogen: 0, density: 0, lasts: 0 },
  'in-mix': { name: 'In the mix already', nitrogen: 0, density: 0, lasts: 60 },
  organic: { name: 'Organic granules', nitrogen: 0.05, density: 700, lasts: 42 },
  synthetic: { name: 'Synthetic granules', nitrogen: 0.12, density: 1000, lasts: 35 },
  compost: { name: 'Compost', nitrogen: 0.01, density: 600, lasts: 120 },
  castings: { name: 'Worm castings', nitrogen: 0.015, density: 650, lasts: 42 },
  liquid: { name: 'Liquid feed', nitrogen: 0, density: 0, lasts: 14 },
} as const;

/** How it is given. */
export const FEED_WAYS = {
  strip: { name: 'In a strip, off the stems' },
  mixed: { name: 'Mixed into the soil' },
  bottom: { name: 'At the bottom of the soil' },
  top: { name: 'On top, with the can' },
  tube: { name: 'Down the fill tube' },
  worms: { name: 'Through the worm tube' },
} as const;

/** Usual dose, kilograms per cubic metre of mix (grams per litre). Typical. */
export const FEED_DOSES = { organic: 5, synthetic: 2, compost: 30, castings: 20 } as const;
/**
 * Nitrogen that feeds a season of a hungry crop in a cubic metre of mix, from a cautious grower's to a generous
 * one's, kilograms. Typical: the usual doses of granules lie in it.
 */
export const USUAL_NITROGEN = { least: 0.12, most: 0.4 } as const;
/** What a cup of dolomitic lime weighs, kg/m³. Typical. */
export const LIME_DENSITY = 1100;

/** How a crop comes into a planter. */
export const STARTS = {
  seed: { name: 'Sown in the planter' },
  raised: { name: 'Raised in a pot first' },
  bought: { name: 'Bought as a young plant' },
} as const;

/** What holds a plant up. */
export const SUPPORTS = {
  none: { name: 'Nothing' },
  stake: { name: 'A stake each' },
  cage: { name: 'A cage each' },
  tied: { name: 'Caged, and tied to a wall' },
  string: { name: 'A string from above' },
  mesh: { name: 'Mesh between two posts' },
  wire: { name: 'A wire along the row' },
} as const;

/**
 * How water and air get in and out of a support. `both`: split, or holes at top and bottom;
 * `foot`: open only at the bottom, so air is caught above; `sealed`: shut all round.
 */
export const VENTS = {
  both: { name: 'At top and bottom, or split' },
  foot: { name: 'At the bottom only' },
  sealed: { name: 'Nowhere: shut all round' },
} as const;

/** What may stand upright in the base, with how it is spoken of. */
export const STANDING = {
  tub: { name: 'Tubs', one: 'tub' },
  cup: { name: 'Cups', one: 'cup' },
  bottle: { name: 'Bottles', one: 'bottle' },
  jug: { name: 'Jugs', one: 'jug' },
  pipe: { name: 'Short pipes', one: 'pipe' },
  pot: { name: 'Small pots', one: 'pot' },
  brick: { name: 'Bricks or blocks', one: 'block' },
} as const;

/** How perforated pipe lies on the floor. */
export const RUNS = {
  runs: { name: 'Side by side' },
  coil: { name: 'A coil' },
  loop: { name: 'A loop along the wall' },
} as const;

/** How a tube is joined to a pipe that lies on the floor. */
export const TUBE_JOINTS = {
  elbow: { name: 'Elbow at the pipe’s end' },
  tee: { name: 'Tee in the pipe' },
  slit: { name: 'Slit end, tied round it' },
  cross: { name: 'X cut in the pipe’s crown' },
} as const;

/** An old hole or a crack: none, one that is still open, or one that is mended as part of the build. */
export const FLAWS = {
  none: { name: 'None' },
  open: { name: 'There is one, still open' },
  mended: { name: 'There is one; patch it first' },
} as const;

/** What is sawn on the vessel itself before anything else. */
export const SAWINGS = {
  none: { name: 'Nothing, or done already' },
  across: { name: 'Whole, sawn across' },
  lengthwise: { name: 'Whole, sawn lengthwise' },
  windows: { name: 'Openings sawn in its sides' },
  neck: { name: 'Its neck, cut off' },
} as const;

/** How cloth hangs down from the soil. */
export const CLOTH_FORMS = {
  strips: { name: 'Strips' },
  piece: { name: 'One piece, over and down' },
} as const;

/** Boxes that leave nearly all of their space to the water. */
export const CRATE_KINDS = {
  crate: { name: 'Crates', one: 'crate' },
  cell: { name: 'Drainage cells', one: 'cell' },
  former: { name: 'Void boxes', one: 'box' },
} as const;

/** What a hole in the wall is fitted with. */
export const FITTINGS = {
  barb: { name: 'Grommet and barb' },
  elbow: { name: 'Elbow' },
  liner: { name: 'Pipe through the liner' },
  end: { name: 'Outlet in the end' },
} as const;

export const PIPE_USES = {
  inspection: { name: 'Inspection pipe' },
  worm: { name: 'Worm tube' },
} as const;

export const FEET = {
  bevel: { name: 'Bevelled' },
  notch: { name: 'Notched' },
  square: { name: 'Cut square' },
} as const;

export const CAPS = {
  cap: { name: 'Cap' },
  sponge: { name: 'Sponge' },
  open: { name: 'Left open' },
} as const;

const keysOf = <K extends string>(table: Record<K, unknown>): [K, ...K[]] =>
  Object.keys(table) as [K, ...K[]];

export const SHEET_IDS = keysOf(SHEETS);
export const FORMER_CONTENT_IDS = keysOf(FORMER_CONTENTS);
export const MATERIAL_IDS = keysOf(MATERIALS);
export const LINER_IDS = keysOf(LINERS);
export const COLOUR_IDS = keysOf(COLOURS);
export const SUN_IDS = keysOf(SUN);
export const WIND_IDS = keysOf(WIND);
export const SPOT_IDS = keysOf(SPOT);
export const RAIN_IDS = keysOf(RAIN);
export const MULCH_IDS = keysOf(MULCHES);
export const FEED_IDS = keysOf(FEEDS);
export const FEED_HOW_IDS = keysOf(FEED_WAYS);
export const START_IDS = keysOf(STARTS);
export const SUPPORT_IDS = keysOf(SUPPORTS);
export const VENT_IDS = keysOf(VENTS);
export const FOOT_IDS = keysOf(FEET);
export const CAP_IDS = keysOf(CAPS);
export const STANDING_IDS = keysOf(STANDING);
export const RUN_IDS = keysOf(RUNS);
export const CRATE_IDS = keysOf(CRATE_KINDS);
export const FITTING_IDS = keysOf(FITTINGS);
export const TUBE_JOINT_IDS = keysOf(TUBE_JOINTS);
export const FLAW_IDS = keysOf(FLAWS);
export const SAWING_IDS = keysOf(SAWINGS);
export const CLOTH_FORM_IDS = keysOf(CLOTH_FORMS);
export const PIPE_USE_IDS = keysOf(PIPE_USES);
