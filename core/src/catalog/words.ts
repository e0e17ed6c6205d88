/**
 * The choices a gardener makes that are names rather than numbers, with the words for them and the
 * typical values that hang on each.
 */

export const SEPARATORS = {
  fabric: { name: 'Woven fabric' },
  mesh: { name: 'Fine mesh or shade cloth' },
  straw: { name: 'Straw or coarse mulch' },
  film: { name: 'Plastic film' },
  none: { name: 'Nothing' },
} as const;

export const FORMER_CONTENTS = {
  new: { name: 'New, never held anything' },
  food: { name: 'Food or drink' },
  unknown: { name: 'Not known' },
  harmful: { name: 'Paint, solvent, pesticide or cleaner' },
} as const;

export const PLASTICS = {
  pe: { name: 'Polyethylene (code 2 or 4)' },
  pp: { name: 'Polypropylene (code 5)' },
  pet: { name: 'PET (code 1)' },
  other: { name: 'Another code (3, 6 or 7)' },
  unknown: { name: 'No code to be found' },
} as const;

export const COLOURS = {
  light: { name: 'Light' },
  dark: { name: 'Dark' },
  clear: { name: 'Clear, or lets light through' },
} as const;

/**
 * Exposure multiplies a field's demand: small vessels stand in warmer and windier air than a field.
 * Typical values.
 */
export const EXPOSURES = {
  sheltered: { name: 'Sheltered, half sun', factor: 0.8 },
  open: { name: 'Open, full sun', factor: 1.05 },
  hot: { name: 'Hot wall, paving or roof', factor: 1.3 },
} as const;

export const RAIN = {
  open: { name: 'Open to the rain' },
  covered: { name: 'Under cover' },
  indoors: { name: 'Indoors' },
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

export const SEPARATOR_IDS = keysOf(SEPARATORS);
export const FORMER_CONTENT_IDS = keysOf(FORMER_CONTENTS);
export const PLASTIC_IDS = keysOf(PLASTICS);
export const COLOUR_IDS = keysOf(COLOURS);
export const EXPOSURE_IDS = keysOf(EXPOSURES);
export const RAIN_IDS = keysOf(RAIN);
export const MULCH_IDS = keysOf(MULCHES);
export const FEED_IDS = keysOf(FEEDS);
export const VENT_IDS = keysOf(VENTS);
export const FOOT_IDS = keysOf(FEET);
export const CAP_IDS = keysOf(CAPS);
