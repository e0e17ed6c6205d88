import { surfaceGives, type End, type HydraulicTable } from '../../physics/column';
import type { Model } from './model';
import type { State } from './state';

// By name: looked up once, these loops run millions of times.
const { min, max } = Math;

/** What the air does to the surface, and how long the step is that asks. m³/s, seconds */
export interface Air {
  rain: number;
  dries: number;
  /** What roots at the water take from it. */
  below: number;
  span: number;
  /** Water stands on the surface, whose head is then kept. */
  ponded: boolean;
}

/** What happens at the soil's base: wicks bring water, flooded soil gives it back. */
export function bottomEnd(model: Model, state: State, air: Air): End {
  const { cells, half, base, bag, supply, reservoir } = model;
  const area = cells.face[0] as number;
  const lowest = cells.media[0] as HydraulicTable;
  const { Ks } = lowest.soil;
  const two = new Float64Array(2);
  /** A flow out of the reservoir, no more than is there. */
  const upTo = (flow: number, slope: number, out: Float64Array): void => {
    const most = max(state.water / air.span - air.below, 0);
    out[0] = min(flow, most);
    out[1] = flow > most ? 0 : slope;
  };
  const wicked = (suction: number): void => {
    if (supply) supply.look(state.level, suction, two);
    else two.fill(0);
  };
  return {
    flux(head, out) {
      const wet = head + half;
      if (bag && state.level > base) {
        // The mix stands in the water itself.
        const G = (area * (Ks + lowest.K(head))) / 2 / half;
        upTo(G * (state.level - base - wet), -G, out);
        return;
      }
      const lip = reservoir.lip(state.water);
      out[0] = 0;
      out[1] = 0;
      if (wet > lip) {
        // Water stands on the base and runs through it.
        const G = (area * Ks) / half;
        wicked(0);
        out[0] = min(two[0] as number, 0) - G * (wet - lip);
        out[1] = -G;
        return;
      }
      if (lip > 0 && wet > 0) return;
      wicked(-wet);
      const flow = two[0] as number;
      // A reservoir that is full and shut takes nothing back.
      if (flow < 0 && lip === Infinity) return;
      upTo(flow, -(two[1] as number), out);
    },
  };
}

/** What happens at the surface: rain and ponds go in, the sun takes out. */
export function topEnd(model: Model, state: State, air: Air): End {
  const { cells, half, surface } = model;
  const highest = cells.media[cells.media.length - 1] as HydraulicTable;
  return {
    flux(head, out) {
      if (air.ponded) {
        const G = (surface * (highest.soil.Ks + highest.K(head))) / 2 / half;
        out[0] = G * (state.pond - head + half);
        out[1] = -G;
        return;
      }
      const offered = air.rain + (state.pond * surface) / air.span;
      if (offered > 0) {
        out[0] = offered;
        out[1] = 0;
        return;
      }
      surfaceGives(air.dries, head, out);
    },
  };
}
