import { CLOTHS, FILLS } from '../../catalog';
import { mixOf } from '../../physics/soil';
import { plural, q, say, type Message } from '../../units';
import type { ColumnWickDesign } from '../../document';
import { clothGood, layerGood, SMALL_GOODS } from '../goods';
import {
  areaNeeded,
  type BuildSheetBuilder,
  type SheetPiece,
  type PartBuilder,
} from '../buildSheetBuilder';

/** Wicks: what each is made of, and how it is fitted. */

/** Holes all round a packed cup, and how wide. */
const PORE = 0.006;
const PORES_A_CUP = 16;

/** What wicks come after: the sheet they go through, else what stands round them. The test says when it comes itself. */
function comesAfter(builder: BuildSheetBuilder): void {
  builder.tools('wick', 'Pail of water');
  builder.after('supports', 'wick');
  builder.after('platform', 'wick');
  builder.after('wick', 'set');
  builder.after('wick', 'stand');
  builder.after('wick', 'base');
  builder.after('wick', 'layers');
  const { wicks } = builder.planter;
  const one = wicks.length === 1 && wicks[0]?.kind === 'cloth';
  // What is hung in the sheet comes to its place when that is in.
  const placed = !builder.deck || wicks.some(({ kind }) => kind === 'cloth');
  builder.check('wick', {
    id: 'wet',
    must: say`${one ? 'The wick' : 'Every wick'} is wet through${placed ? ' and its foot is where it should be' : ''}.`,
    mend: say`Soak it again: packed or laid dry it never begins to draw.`,
  });
}

/** How many lie bunched in a hole, in words. */
const bunched = (holes: number): Message =>
  holes === 1 ? say`all bunched through one hole` : say`shared over ${q(holes, 'count')} holes`;

// eslint-disable-next-line max-lines-per-function -- what a cloth brings to a sheet reads in the order of the work.
export const cloth: PartBuilder<'cloth'> = (group, builder) => {
  const { spec, id, parts } = group;
  if (parts.length === 0) return;
  const { design, heights, platformOutline } = builder.planter;
  const hang = heights.base - spec.foot;
  const rope = spec.material.endsWith('rope');
  const one = spec.form === 'piece' && !rope;
  const name = CLOTHS[spec.material].name.toLowerCase();
  const sheet: SheetPiece = one
    ? {
        id,
        part: id,
        what: 'Wick cloth',
        count: 1,
        length: hang + spec.spread,
        width: spec.legs * spec.width,
        outline: null,
        from: say`one piece: ${q(spec.spread, 'length')} lie under the soil, the rest hangs down gathered`,
      }
    : {
        id,
        part: id,
        what: rope ? 'Strand of rope' : 'Leg of cloth',
        count: spec.legs,
        length: hang + spec.spread,
        width: spec.width,
        outline: null,
        from: rope
          ? say`cut to length, the ends tied; ${q(spec.spread, 'length')} of it lie spread under the soil`
          : say`torn or cut along the weave; ${q(spec.spread, 'length')} of it lie spread under the soil`,
      };
  builder.sheet('wick', sheet);
  const what = rope ? plural(spec.legs, 'strand') : plural(spec.legs, 'leg');
  builder.part('wick', {
    id,
    what: CLOTHS[spec.material].name,
    amount: one
      ? say`one piece ${q(sheet.length, 'length')} long, ${q(sheet.width, 'length')} wide`
      : rope
        ? say`${q(spec.legs, 'count')} ${what}, ${q(sheet.length, 'length')} long`
        : say`${q(spec.legs, 'count')} ${what}, ${q(sheet.length, 'length')} long, ${q(spec.width, 'length')} wide`,
    use: 'Lifts the water',
    good: clothGood(spec.material),
    quantity: rope ? spec.legs * sheet.length : areaNeeded(sheet),
  });
  comesAfter(builder);
  if (!rope) builder.tools('wick', 'Scissors');
  const foot =
    spec.foot > 0
      ? say`their ends ${q(spec.foot, 'length')} above the floor`
      : say`their ends on the floor`;
  const soak = one ? say`Soak the cloth` : say`Soak ${q(spec.legs, 'count')} ${what} of ${name}`;
  const through =
    design.bed?.kind === 'neck'
      ? say`through the cap`
      : platformOutline
        ? one || spec.legs === 1
          ? say`through its hole`
          : bunched(parts.length)
        : null;
  const them = one || spec.legs === 1 ? 'it' : 'them';
  const ends =
    one || spec.legs === 1
      ? say`the end ${spec.foot > 0 ? say`${q(spec.foot, 'length')} above` : 'on'} the floor`
      : foot;
  if (design.bed?.kind === 'neck') {
    builder.hole({
      id: `${id}-cap`,
      step: 'wick',
      part: 'Bottle’s cap',
      count: 1,
      diameter: 2 * (parts[0]?.foot.form === 'disc' ? parts[0].foot.r : 0.004),
      where: say`in its middle`,
      why: say`the wick goes down through it`,
    });
    builder.say('wick', say`Take the cap off and drill it in its middle.`, 2);
  }
  builder.say(
    'wick',
    say`${soak}${through === null ? say`. Set ${ends} where the plan shows, and lead ${them} up to the soil line as the base is filled in around ${them}` : say`, and pull ${them} down ${through}, ${ends}`}. Spread ${q(spec.spread, 'length')} on top${one || spec.legs === 1 ? '' : ', in all directions'}.`,
    10,
  );
  if (design.bed?.kind === 'neck') builder.say('wick', say`Screw the cap on.`, 1);
};

export const cup: PartBuilder<'cup'> = (group, builder) => {
  const { spec, id, parts } = group;
  const n = parts.length;
  if (n === 0) return;
  const { heights } = builder.planter;
  const tall = heights.base - spec.foot;
  builder.part('wick', {
    id,
    what: spec.net ? 'Net pots' : 'Cups',
    amount: say`${q(n, 'count')}, ${q(spec.diameter, 'length')} across inside, rim ${q(spec.rim, 'length')}, ${q(tall, 'length')} or more deep`,
    use: n === 1 ? 'Lifts the water, packed with mix' : 'Lift the water, packed with mix',
    good: SMALL_GOODS.wickCup,
    quantity: n,
  });
  if (!spec.net) {
    builder.hole({
      id: `${id}-pores`,
      step: 'wick',
      part: n === 1 ? 'Cup' : `Cups, ${PORES_A_CUP} in each`,
      count: n * PORES_A_CUP,
      diameter: PORE,
      where: say`all round and in the floor, up to ${q(Math.max(heights.brim - spec.foot, 0), 'length')} from the foot`,
      why: say`lets the water to the packed mix`,
    });
  }
  comesAfter(builder);
  builder.warn('wick', 'dust');
  const them = n === 1 ? 'it' : 'them';
  const one = spec.net ? 'net pot' : 'cup';
  const reaches =
    spec.foot > 0 ? say`to ${q(spec.foot, 'length')} above the floor` : say`the floor`;
  builder.say(
    'wick',
    builder.deck
      ? say`${n === 1 ? 'The' : 'Each'} ${one} must be ${q(tall, 'length')} deep, to reach ${reaches} when it hangs by its rim. Trim a deeper one.`
      : say`${n === 1 ? 'The' : 'Each'} ${one} stands on the floor and comes to ${q(heights.base, 'length')}: trim it to ${q(tall, 'length')}.`,
    3 * n,
  );
  builder.say(
    'wick',
    say`Pack ${them} with wet ${mixOf(builder.planter.design.soil).name.toLowerCase()}, tight, a handful at a time${builder.deck ? '' : say`, and stand ${them} where the plan shows`}.`,
    5 * n,
  );
};

/** Columns in words: how many, of what. */
const columnsOf = ({ medium }: ColumnWickDesign, n: number): Message => {
  const name = medium === 'mix' ? 'mix' : FILLS[medium].name.toLowerCase();
  return n === 1 ? say`a column of wet ${name}` : say`${q(n, 'count')} columns of wet ${name}`;
};

/** How wide columns are, and from where to where they go. */
const columnReach = ({ planter }: BuildSheetBuilder, spec: ColumnWickDesign): Message =>
  say`${q(spec.diameter, 'length')} across, ${spec.foot > 0 ? say`from ${q(spec.foot, 'length')} above the floor` : 'from the floor'} up to ${q(planter.heights.base, 'length')}`;

/** Columns that go down through a sheet: packed when that is in, so that it need not slide over them. */
export function packColumns(builder: BuildSheetBuilder, step: 'set' | 'stand'): void {
  for (const { spec, parts } of builder.planter.of('column')) {
    const n = parts.length;
    if (n === 0) continue;
    builder.say(
      step,
      say`Make ${columnsOf(spec, n)} through ${n === 1 ? 'its hole' : 'their holes'}, ${columnReach(builder, spec)}: hang ${n === 1 ? 'the sleeve' : 'each sleeve'} down to the floor, and pack it full from above, a handful at a time.`,
      6 * n,
    );
  }
}

export const column: PartBuilder<'column'> = ({ spec, id, parts }, builder) => {
  const n = parts.length;
  if (n === 0) return;
  const name = spec.medium === 'mix' ? 'mix' : FILLS[spec.medium].name.toLowerCase();
  builder.part('wick', {
    id,
    what: `Columns of ${name}`,
    amount: say`${q(n, 'count')} of ${q(spec.diameter, 'length')}`,
    use: 'Lift the water; counted with the rest of it',
  });
  comesAfter(builder);
  builder.warn('wick', spec.medium === 'mix' ? 'dust' : 'stone');
  // Where nothing is filled in around it, or it is packed from above, fabric keeps it together.
  const filled = builder.planter.design.reservoir.fill.length > 0;
  if (filled && !builder.deck) builder.tools('wick', 'A length of pipe as a mould');
  else sleeves(builder, spec, id, n);
  if (builder.deck) {
    builder.say(
      'wick',
      say`Sew or staple ${n === 1 ? 'a sleeve' : say`${q(n, 'count')} sleeves`} of fabric, ${q(spec.diameter, 'length')} across, for what is packed in when the platform is in.`,
      4 * n,
    );
    return;
  }
  builder.say(
    'wick',
    say`Make ${columnsOf(spec, n)} where the plan shows, ${columnReach(builder, spec)}: ${
      filled
        ? 'stand a mould there, pack it full, and draw the mould out as the base is filled around it'
        : 'sew or staple a sleeve of fabric of that width for each, stand it there and pack it full'
    }.`,
    8 * n,
  );
};

/** How far the edges of a sleeve lie over each other, metres. */
const SEAM = 0.03;

/** Sleeves of fabric for columns that stand in open water. */
function sleeves(
  builder: BuildSheetBuilder,
  spec: ColumnWickDesign,
  id: string,
  count: number,
): void {
  const piece = {
    id: `${id}-sleeve`,
    part: `${id}-sleeve`,
    what: 'Sleeve of woven fabric',
    count,
    length: Math.PI * spec.diameter + SEAM,
    width: builder.planter.heights.base - spec.foot + SEAM,
    outline: null,
    from: say`its long ends sewn or stapled together, its foot folded shut`,
  };
  builder.sheet('wick', piece);
  builder.part('wick', {
    id: piece.id,
    what: `${plural(count, 'Sleeve')} of woven fabric`,
    amount: say`${count > 1 ? say`${q(count, 'count')} of ` : ''}${q(piece.length, 'span')} by ${q(piece.width, 'span')}`,
    use: 'Keep a column together in the water',
    good: layerGood('fabric'),
    quantity: areaNeeded(piece),
  });
  builder.tools('wick', 'Scissors', 'Needle or stapler');
}
