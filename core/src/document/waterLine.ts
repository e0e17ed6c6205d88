import { z } from 'zod';
import { HOSE_IDS } from '../catalog';
import { FIELDS } from './fields';
import { number } from './number';
import type { PlanterDesign } from './schema';

/** Planters that are joined by hoses into one water, fed by a barrel or the mains, or filled at any of them. */

const F = FIELDS.waterLine;
/** Planters of one line, and lines of a garden. */
export const MOST_JOINED = 24;
export const MOST_WATER_LINES = 12;

const supply = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('barrel'),
    volume: number(F.volume),
    diameter: number(F.diameter),
    outlet: number(F.outlet),
  }),
  z.strictObject({ kind: z.literal('mains') }),
  z.strictObject({ kind: z.literal('none') }),
]);

const member = z.strictObject({
  planter: z.uuid(),
  floor: number(F.floor),
  run: number(F.run).describe('Hose to it: from the one before it, or from the valve'),
  port: number(F.port),
  over: z.boolean().describe('The hose to it climbs over something'),
});

export const waterLineSchema = z.strictObject({
  id: z.uuid(),
  name: z.string().trim().min(1, { error: 'Give it a name.' }).max(80),
  supply: supply.describe('Where its water comes from; without one it is filled at any planter'),
  level: number(F.level).describe('Where the float valve keeps the water, above the ground'),
  layout: z.enum(['row', 'star']).describe('Each joined to the next, or each to the valve'),
  hose: z.enum(HOSE_IDS),
  members: z.array(member).min(2).max(MOST_JOINED).describe('In the order of the hose'),
});
export type WaterLine = z.infer<typeof waterLineSchema>;
export type WaterLineMember = WaterLine['members'][number];

/** What a line gives one of its planters. */
export interface LineShare {
  /** Where the line keeps the water, metres above the inside floor. */
  readonly level: number;
  /** Of the line's water besides its own: what the others and the barrel give it, m³. */
  readonly volume: number;
}

/** The lines that a planter is joined to; one, where all is well. */
export const waterLinesOf = (lines: readonly WaterLine[], planter: string): WaterLine[] =>
  lines.filter(({ members }) => members.some((one) => one.planter === planter));

/** A planter’s line with the designs of the planters in it, by id. */
export interface LineContext {
  line: WaterLine;
  /** Designs of the planters of the line, by id. */
  designs: Readonly<Record<string, PlanterDesign>>;
}

/** The line of a planter with what it needs to know of the others; null for one that stands alone. */
export function lineContextOf(
  lines: readonly WaterLine[],
  planter: string,
  designOf: (id: string) => PlanterDesign | undefined,
): LineContext | null {
  const [line] = waterLinesOf(lines, planter);
  if (!line) return null;
  const designs = Object.fromEntries(
    line.members.flatMap((one) => {
      const design = designOf(one.planter);
      return design ? [[one.planter, design]] : [];
    }),
  );
  return { line, designs };
}
