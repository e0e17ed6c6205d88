import type { PlanterDesign } from '../document';

/** Documents as earlier versions of Huerta wrote them, for tests of the migrations. */

type Loose = Record<string, unknown>;

const without = (from: object, ...keys: string[]): Loose =>
  Object.fromEntries(Object.entries(from).filter(([key]) => !keys.includes(key)));

const PART_KEYS = ['stiff', 'length', 'height', 'cut', 'own', 'at'];
const WICK_KEYS = ['form', 'holes', 'bottom', 'rim', 'net', 'at'];

const PLANTED_KEYS = ['own', 'start', 'from', 'stays', 'bed', 'places', 'support'];

/** The document that version 5 had for this design. */
export const asVersion5 = (design: PlanterDesign): Loose & { version: number } => ({
  ...design,
  version: 5,
  soil: without(design.soil, 'feedLasts'),
});

/** The document that version 4 had for this design: its first planting alone. */
export function asVersion4(design: PlanterDesign): Loose & { version: number } {
  const { crops, rootsADay } = design.planting;
  return {
    ...design,
    version: 4,
    soil: without(design.soil, 'feedHow', 'feedNitrogen', 'feedLasts'),
    planting: {
      ...without(crops[0] as object, ...PLANTED_KEYS),
      ...(rootsADay === undefined ? {} : { rootsADay }),
    },
  };
}

/** The document that version 3 had for this design, without what it did not know. */
export function asVersion3(design: PlanterDesign): Loose & { version: number } {
  const { layers, vessel, reservoir, overflow, fillTube, pipes, wicks } = design;
  const { planting, soil } = asVersion4(design) as Loose as { planting: object; soil: object };
  const separator = layers.find(({ what }) => ['fabric', 'mesh', 'straw', 'film'].includes(what));
  const blanket = layers.find(({ what }) => what.endsWith('sand') || what.endsWith('gravel'));
  const straw = layers.filter(({ what }) => what === 'straw');
  return {
    ...without(design, 'layers'),
    version: 3,
    planting,
    vessel: {
      ...without(vessel, 'sawing', 'bungs', 'stands'),
      drainHole: vessel.drainHole === 'open',
      cracked: vessel.cracked === 'open',
    },
    reservoir: {
      ...reservoir,
      parts: reservoir.parts.map((part) => {
        const kept =
          part.kind === 'crates' ? PART_KEYS.filter((key) => key !== 'length') : PART_KEYS;
        return without(part, ...kept);
      }),
      blanket: blanket ? { medium: blanket.what, thickness: blanket.thickness } : null,
      supply: reservoir.supply && without(reservoir.supply, 'diameter'),
    },
    overflow: overflow && without(overflow, 'bearing'),
    separator: separator?.what ?? 'none',
    wicks: wicks.map((wick) => without(wick, ...WICK_KEYS)),
    fillTube: fillTube && without(fillTube, 'joint', 'at'),
    pipes: pipes.map((pipe) => without(pipe, 'fills', 'at')),
    soil: { ...without(soil, 'upper'), marker: straw.length > 1 },
  };
}

/** The document that version 2 had: the same, without mixes of one's own. */
export function asVersion2(design: PlanterDesign): Loose & { version: number } {
  const old = asVersion3(design);
  return { ...old, version: 2, soil: without(old.soil as object, 'recipe') };
}

/** The document that version 1 had of a round pail. @param reservoir as that version wrote it */
export function asVersion1(design: PlanterDesign, reservoir: object): Loose & { version: number } {
  const old = asVersion2(design);
  const vessel = old.vessel as Loose;
  const place = old.place as Loose;
  return {
    ...without(old, 'variant', 'bed', 'pipes'),
    version: 1,
    vessel: { ...without(vessel, 'material', 'rigid', 'cracked'), plastic: vessel.material },
    reservoir,
    fillTube: without(old.fillTube as object, 'run'),
    soil: without(old.soil as object, 'marker'),
    planting: without(old.planting as object, 'spacing'),
    place: {
      ...without(place, 'sun', 'wind', 'spot', 'slopeAcross', 'slopeAlong', 'falls'),
      exposure: 'open',
      slope: place.slopeAcross,
    },
  };
}
