import type { PlanterDesign } from '../design';
import type { Room } from './finding';

/** A short caution shown next to the step where its hazard stands. */
export interface Caution {
  id: string;
  text: string;
}

const CUTTING: Caution = {
  id: 'cutting',
  text: 'Clamp the work, a board under it, eye protection and gloves; cut away from yourself. Adults only. Collect the plastic dust and offcuts.',
};

/** The cautions for one room of the bench. They do not replace local codes or licensed practice. */
export function cautionsFor(room: Room, design: PlanterDesign): Caution[] {
  switch (room) {
    case 'vessel':
      return [
        ...(design.vessel.material === 'metal'
          ? [
              {
                id: 'edges',
                text: 'Galvanised and cut edges are sharp, and welding or grinding zinc gives fumes: gloves, outdoors.',
              },
            ]
          : []),
        {
          id: 'contents',
          text: 'Use only vessels known to have held food or food-safe goods. Residues of acids and cleaners burn: gloves and eye protection, rinse several times outdoors.',
        },
        {
          id: 'weight',
          text: 'On a balcony, roof, deck or shelf, ask the building’s owner or a structural engineer. Huerta gives the load, never permission. Place it first and fill it afterwards, with two people.',
        },
      ];
    case 'water':
      return [
        CUTTING,
        ...(design.reservoir.supply
          ? [
              {
                id: 'mains',
                text: 'A float valve on the mains needs backflow protection under local plumbing rules, by a licensed plumber.',
              },
            ]
          : []),
        ...(design.place.children
          ? [
              {
                id: 'children',
                text: 'Any open water can drown a toddler. Cover the planter while it is filled for the leak test.',
              },
            ]
          : []),
        { id: 'drinking', text: 'Reservoir water and rainwater are not for drinking.' },
      ];
    case 'wick':
      return design.wicks.some((wick) => wick.kind === 'cup') ? [CUTTING] : [];
    case 'tube':
      return [
        CUTTING,
        ...(design.place.rain === 'indoors'
          ? []
          : [
              {
                id: 'mosquitoes',
                text: 'Cap or sponge every opening: mosquitoes need only a finger’s width.',
              },
            ]),
      ];
    case 'soil':
      return [
        {
          id: 'dust',
          text: 'Wet the mix before handling it, do not breathe its dust, and wash your hands. No fresh manure near salad crops.',
        },
      ];
  }
}
