import type { PlanterDesign } from '../document';
import type { BenchPanel } from './finding';

/** A short caution shown next to the step where its hazard stands. */
export interface Caution {
  id: CautionId;
  text: string;
}

const TEXTS = {
  cutting:
    'Clamp the work, a board under it, eye protection and gloves; cut away from yourself. Adults only. Collect the plastic dust and offcuts.',
  fumes: 'Hot-piercing or melting plastic gives fumes: only outdoors, better with a drill.',
  edges:
    'Galvanised and cut edges are sharp, and welding or grinding zinc gives fumes: gloves, outdoors.',
  contents:
    'Use only vessels known to have held food or food-safe goods. Residues of acids and cleaners burn: gloves and eye protection, rinse several times outdoors.',
  weight:
    'On a balcony, roof, deck or shelf, ask the building’s owner or a structural engineer. Huerta gives the load, never permission. Place it first and fill it afterwards, with two people.',
  timber:
    'Old sleepers and painted or unknown treated wood stay away from soil that grows food. Saw outdoors, with a mask against the dust.',
  mains:
    'A float valve on the mains needs backflow protection under local plumbing rules, by a licensed plumber.',
  electricity: 'No pump or lamp near the water without the protection that local code asks for.',
  children:
    'Any open water can drown a toddler. Cover the planter while it is filled for the leak test.',
  covered: 'Any open water can drown a toddler. Cover reservoir, channel and barrel for good.',
  drinking: 'Reservoir water and rainwater are not for drinking.',
  mosquitoes: 'Cap or sponge every opening: mosquitoes need only a finger’s width.',
  dust: 'Wet the mix before handling it, do not breathe its dust, and wash your hands. No fresh manure near salad crops.',
  topple:
    'What stands high can blow over and fall on somebody: tie it to something firm, and ask before you fix anything to a railing or a roof.',
  lifting: 'Lift with two, with a straight back, and leave what is too heavy for that where it is.',
  stone:
    'Rinse stone and sand outdoors and keep them wet: their dust harms the lungs. A bucket of it weighs as much as a person should lift.',
} as const;
export type CautionId = keyof typeof TEXTS;

/** The caution of a name, in full. */
export const caution = (id: CautionId): Caution => ({ id, text: TEXTS[id] });

/** The cautions for one room of the bench. They do not replace local codes or licensed practice. */
export function cautionsFor(room: BenchPanel, design: PlanterDesign): Caution[] {
  const when = (holds: boolean, ...ids: CautionId[]): CautionId[] => (holds ? ids : []);
  const { vessel, reservoir, place, wicks } = design;
  const ids: Record<BenchPanel, CautionId[]> = {
    vessel: [...when(vessel.material === 'metal', 'edges'), 'contents', 'weight'],
    water: [
      'cutting',
      ...when(reservoir.supply !== null, 'mains'),
      ...when(place.children, 'children'),
      'drinking',
    ],
    wick: when(
      wicks.some((wick) => wick.kind === 'cup'),
      'cutting',
    ),
    tube: ['cutting', ...when(place.rain !== 'indoors', 'mosquitoes')],
    soil: ['dust'],
  };
  return ids[room].map(caution);
}
