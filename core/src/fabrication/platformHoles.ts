import type { PartKind, PartGroup, Planter } from '../assembly';
import { plural, q, say, type Message } from '../units';
import { type BuildSheetBuilder } from './buildSheetBuilder';
import type { Spot } from './platform';

/** The holes of the deck, each kind with what goes through it. */
export function platformHoles(builder: BuildSheetBuilder): void {
  const { deck, planter } = builder;
  if (!deck) return;
  const material = deck.kind === 'upper' ? planter.design.vessel.material : null;
  for (const { id, group, diameter, bit, spots } of deck.holes) {
    const known = builder.bits.some((one) => Math.abs(one - bit) < 3e-4);
    builder.hole(
      {
        id: group ? `${id}-deck` : id,
        step: 'platform',
        part: deck.name,
        count: spots.length,
        diameter,
        bit,
        ...(known ? {} : { tool: 'Knife or jigsaw, to a line' }),
        ...placed(planter, group, spots),
        spots,
      },
      material,
    );
  }
}

const WHY: { readonly [K in PartKind]?: (group: PartGroup<K>, count: number) => Message } = {
  tube: () => say`the fill tube goes through, with a little play`,
  inspection: () => say`the inspection pipe goes through`,
  worm: () => say`the worm tube goes through`,
  column: (_lot, count) =>
    count === 1 ? say`the column goes through` : say`a column goes through each`,
  cup: ({ spec }, count) =>
    say`${count === 1 ? 'the cup hangs' : 'a cup hangs'} in it by its rim of ${q(spec.rim, 'length')}`,
  cloth: ({ spec }, count) =>
    count === 1
      ? say`${spec.form === 'piece' ? 'the cloth' : spec.legs === 1 ? 'the cloth' : say`all ${q(spec.legs, 'count')} legs`} bunched, through it`
      : say`${q(Math.ceil(spec.legs / count), 'count')} ${plural(Math.ceil(spec.legs / count), 'leg')} bunched through each`,
};

function placed(
  { design }: Planter,
  group: PartGroup | null,
  spots: readonly Spot[],
): { where: Message; why: Message } {
  if (!group) {
    const row = design.bed?.kind === 'row';
    return {
      where: row
        ? say`along its middle, only where the channel is below`
        : design.reservoir.drains
          ? say`as the template shows`
          : say`all over, in rows set off by half`,
      why: say`lets rain and top watering through`,
    };
  }
  const why = WHY[group.kind] as ((group: PartGroup, count: number) => Message) | undefined;
  const [one] = spots;
  const count = spots.length;
  const where =
    count === 1 && one
      ? Math.hypot(one.x, one.y) < 1e-4
        ? say`in its middle`
        : say`${q(Math.hypot(one.x, one.y), 'length')} from its middle, as the template shows`
      : say`as the template shows`;
  return { where, why: why?.(group, count) ?? say`` };
}
