import type { Planter } from '../assembly';
import type { WaterLine } from '../document';
import { say, type Message } from '../units';

/** What somebody who does not know a planter has to be told to water it. */

/** Nearer to the middle than this share of the half width counts as the middle. */
const MIDDLE = 0.25;

/** Where the water of planters that are joined is poured. */
function pourIntoLine({ supply, name }: WaterLine): Message {
  switch (supply.kind) {
    case 'barrel':
      return say`Fill the barrel of ‘${name}’ to the top. Its valve waters all that are joined to it.`;
    case 'mains':
      return say`Nothing to pour: the mains keep it full. See that there is water in it.`;
    case 'none':
      return say`Fill any planter of ‘${name}’ until water runs out of an overflow. The hoses share it out.`;
  }
}

/** Where to pour, and when to stop. @param line that the planter is joined to */
export function pourWords(
  { design, partGroups, vessel, heights }: Planter,
  line?: WaterLine | null,
): Message {
  if (line) return pourIntoLine(line);
  const { fillTube, reservoir, pipes, overflow } = design;
  if (reservoir.supply) return say`Fill the barrel beside it to the top. The valve does the rest.`;
  const stop = overflow
    ? overflow.kind === 'rim'
      ? say`until water stands at the rim below`
      : say`until water runs out of the overflow`
    : say`until the stick reads full`;
  const half = Math.max(vessel.halfAt(heights.rim), 1e-6);
  const tube = partGroups.find(({ kind }) => kind === 'tube')?.parts[0];
  if (fillTube && tube)
    return say`Pour into the tube ${sideOf(tube.x / half)}, not on the soil, ${stop}. Put its cap back.`;
  const pipe = !pipes.some(({ fills }) => fills)
    ? undefined
    : partGroups.find(({ kind }) => kind === 'worm')?.parts[0];
  if (pipe) return say`Pour into the worm tube ${sideOf(pipe.x / half)}, ${stop}.`;
  return say`Pour slowly on the soil, a little at a time, ${stop}.`;
}

const sideOf = (share: number): Message =>
  share < -MIDDLE ? say`on the left` : share > MIDDLE ? say`on the right` : say`in the middle`;

/** What a neighbour leaves alone, the same for all. */
export const LEAVE_ALONE: readonly string[] = [
  'Give nothing between these days, also when the top looks dry: water comes from below.',
  'No feed, and nothing into the reservoir but water.',
  'Leave covers, screens and the dip stick where they are. Open tubes are a danger to small children.',
  'If one is limp in the morning, fill it; if water runs out below or leaves stay limp, call us.',
];
