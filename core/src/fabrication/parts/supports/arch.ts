import { archLength, boxesOf } from '../../../assembly';
import { q, say } from '../../../units';
import { layerGood } from '../../goods';
import type { PartBuilder } from '../../buildSheetBuilder';
import { laid, vents } from '../bearing';

/** What a panel of the vessel's own curve is cut from. */
const PANEL_FROM: Readonly<Record<string, string>> = {
  windows: 'what comes out of an opening',
  none: 'another vessel of this width',
};

export const arch: PartBuilder<'arch'> = (group, builder) => {
  const { spec, id, height } = group;
  const [box] = boxesOf(group);
  if (!box) return;
  const wide = archLength(box.a, height);
  const long = 2 * box.b;
  builder.sheet('saw', {
    id: `${id}-panel`,
    part: id,
    what: 'Panel',
    count: 1,
    length: long,
    width: wide,
    outline: null,
    from: spec.own
      ? say`the vessel’s own side, ${q(wide, 'length')} round the curve by ${q(long, 'length')} up: it keeps its curve`
      : say`bent sheet, ${q(wide, 'length')} along the curve`,
  });
  builder.part(spec.own ? 'saw' : 'lay', {
    id,
    what: 'Panel',
    amount: say`${q(spec.width, 'length')} from edge to edge, ${q(height, 'length')} high, ${q(long, 'length')} long`,
    use: spec.own ? 'Cut from the vessel’s side, laid over the water' : 'Laid over the water',
  });
  if (spec.own) {
    builder.after('saw', 'lay');
    builder.say(
      'saw',
      say`Mark the panel on ${PANEL_FROM[builder.planter.design.vessel.sawing] ?? 'the part that is sawn off'}: ${q(wide, 'length')} round by ${q(long, 'length')} up. Saw it out in one piece and smooth the edges.`,
      20,
    );
  }
  const cover = { length: long + 2 * height, width: wide + 0.1 };
  builder.sheet('lay', {
    id: `${id}-cloth`,
    part: `${id}-cloth`,
    what: 'Cloth over the panel',
    count: 1,
    ...cover,
    outline: null,
    from: say`one piece over the panel, hanging down over its open ends`,
  });
  builder.part('lay', {
    id: `${id}-cloth`,
    what: 'Woven fabric for the panel',
    amount: say`${q(cover.length, 'span')} by ${q(cover.width, 'span')}`,
    use: 'Keeps the mix out from under it',
    good: layerGood('fabric'),
    quantity: cover.length * cover.width,
  });
  vents(builder, group, 'Panel', { step: 'lay' });
  laid(builder);
  builder.tools('lay', 'Tape');
  builder.say(
    'lay',
    say`${spec.vents === 'both' ? 'Drill the panel and lay it in' : 'Lay the panel in'} on both its long edges, hollow side down: ${q(spec.width, 'length')} apart it stands ${q(height, 'length')} high. Lay cloth over it and down over its ends, so that no mix gets under.`,
    10,
  );
};
