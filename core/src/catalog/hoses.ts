/** Hoses in the sizes that are sold, by their inside diameter in metres. */
export const HOSES = {
  'mm-13': { bore: 0.013 },
  'mm-16': { bore: 0.016 },
  'mm-19': { bore: 0.019 },
  'mm-25': { bore: 0.025 },
} as const;
export type HoseId = keyof typeof HOSES;
/** Narrowest first. */
export const HOSE_IDS = Object.keys(HOSES) as [HoseId, ...HoseId[]];
