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
  harmful: { name: 'Paint, solvent, pesticide or cleaner' },
} as const;

export const MATERIALS = {
  pe: { name: 'Polyethylene (code 2 or 4)' },
  pp: { name: 'Polypropylene (code 5)' },
  pet: { name: 'PET (code 1)' },
  other: { name: 'Another plastic code (3, 6 or 7)' },
  unknown: { name: 'Plastic with no code to be found' },
  clay: { name: 'Clay, stone or concrete' },
  metal: { name: 'Galvanised or painted metal' },
  wood: { name: 'Untreated timber' },
  'treated-wood': { name: 'Treated, painted or unknown timber' },
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

export const WIND = {
  calm: { name: 'Sheltered', factor: 1 },
  breezy: { name: 'Open', factor: 1.05 },
  windy: { name: 'Windy', factor: 1.15 },
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

export const FEEDS = {
  none: { name: 'None yet' },
  organic: { name: 'Organic granules in a strip' },
  synthetic: { name: 'Synthetic granules in a strip' },
  liquid: { name: 'Liquid down the tube' },
} as const;

/** Usual dose of granules, kilograms per cubic metre of mix (grams per litre). Typical. */
export const FEED_DOSES = { organic: 5, synthetic: 2 } as const;

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
  slit: { name: 'Slit end, sock tied round the tube' },
  cross: { name: 'X cut in the crown, tube pushed in' },
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
  across: { name: 'A whole one, sawn across' },
  lengthwise: { name: 'A whole one, sawn lengthwise' },
  windows: { name: 'Openings sawn into its sides' },
  neck: { name: 'Its neck, cut off' },
} as const;

/** How cloth hangs down from the soil. */
export const CLOTH_FORMS = {
  strips: { name: 'Strips' },
  piece: { name: 'One piece, over the platform and down' },
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
