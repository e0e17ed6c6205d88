import { CRATE_KINDS, STANDING, type STANDING_IDS } from '../../catalog';
import { FIELDS } from '../../design';
import {
  archLength,
  boxesOf,
  isSolid,
  lengthOf,
  nameOf,
  runsOf,
  tightest,
  type Lot,
  type Planter,
} from '../../planter';
import { many, q, say } from '../../quantity';
import {
  crateGood,
  drainPipe,
  fittingSize,
  layerGood,
  plainPipe,
  SMALL_GOODS,
  standingGood,
} from '../goods';
import { type Maker, type Work } from '../maker';
import { measure } from '../step';

/** What keeps the water's room open: how it is made, and set in. */

/** Holes of a support or a panel are about this wide, and so many are drilled in each. */
const VENT = 0.008;
const VENTS_A_SUPPORT = 4;
const VENTS_A_PANEL = 8;

/** Supports are made at their own step, and set in where nothing has to be brought up to them first. */
const bears = ({ design }: Planter): string =>
  design.reservoir.cover === 'platform' ? 'Bears the platform' : 'Keeps the reservoir open';

/** The check that all that bears is level, once. */
function level(maker: Maker): void {
  const { top } = maker.planter.design.reservoir;
  maker.check('supports', {
    id: 'height',
    must: say`Everything that bears comes to the same height, and nothing rocks.`,
    mend: say`Trim the tall ones. One support that is short carries nothing.`,
  });
  if (!maker.planter.design.bed)
    maker.measure('supports', measure('top', FIELDS.reservoir.top, top, ['reservoir', 'top']));
}

function vents(maker: Maker, lot: Lot, part: string, each: number, clay = false): void {
  maker.hole(
    {
      id: `${lot.id}-vents`,
      step: 'supports',
      part,
      count: lot.pieces.length * each,
      diameter: VENT,
      where: say`half of them close to the foot, half close under the top at ${q(lot.height, 'length')}`,
      why: say`lets water in and air out`,
    },
    clay ? 'clay' : null,
  );
}

export const ring: Work<'ring'> = (lot, maker) => {
  const { spec, id, height, pieces } = lot;
  if (pieces.length === 0) return;
  if (spec.cutEnd) {
    // The end itself is sawn off, drilled and slid in as the platform.
    maker.after('saw', 'platform');
    maker.after('platform', 'set');
    maker.check('platform', {
      id: 'slides',
      must: say`Slit up one side, the cut end slides in and stays at ${q(height, 'length')}.`,
      mend: say`Widen the slit. If it slips down, put supports of that height under it.`,
    });
    return;
  }
  const good = plainPipe(spec.diameter);
  const split = spec.vents === 'both';
  const note = split
    ? say`split along one side, so that it breathes and can be opened to fit`
    : null;
  const length = maker.cut('supports', id, good, 'Ring', height, 1, note);
  maker.part('supports', {
    id,
    what: 'Ring of pipe',
    amount: say`${q(spec.diameter, 'length')} across, ${q(height, 'length')} high`,
    use: bears(maker.planter),
    good,
    quantity: length,
  });
  maker.tools('supports', 'Saw', 'Tape', 'Marker');
  maker.say(
    'supports',
    split
      ? say`Saw the ring to ${q(height, 'length')} and split it along one side, so that it breathes. Stand it in the middle of the floor.`
      : say`Saw the ring to ${q(height, 'length')} and stand it in the middle of the floor.`,
    12,
  );
  level(maker);
};

export const standing: Work<'standing'> = (lot, maker) => {
  const { spec, id, height, pieces } = lot;
  const n = pieces.length;
  if (n === 0) return;
  const pipe = spec.what === 'pipe';
  const good = pipe ? plainPipe(spec.diameter) : standingGood(spec.what, spec.diameter);
  const length = pipe ? maker.cut('supports', id, good, 'Support', height, n) : 0;
  maker.part('supports', {
    id,
    what: STANDING[spec.what].name,
    amount: say`${q(n, 'count')}, ${q(spec.diameter, 'length')} across, ${q(height, 'length')} high`,
    use:
      maker.planter.design.reservoir.cover === 'platform'
        ? 'Bear the platform'
        : 'Keep the reservoir open',
    good,
    quantity: pipe ? length : n,
  });
  const name = nameOf(lot);
  const drilled = spec.vents === 'both' && !isSolid(spec.what);
  if (pipe) {
    maker.say(
      'supports',
      say`Saw ${q(n, 'count')} ${many(n, 'piece')} of ${q(height, 'length')}, and deburr them.`,
    );
  }
  if (drilled) {
    const label = `${STANDING[spec.what].name}, ${VENTS_A_SUPPORT} in each`;
    vents(maker, lot, label, VENTS_A_SUPPORT, spec.what === 'pot');
    maker.say(
      'supports',
      say`Drill ${n === 1 ? `the ${name}` : `each ${nameOf(lot, 1)}`} near the foot and near the top, so that ${n === 1 ? 'it fills and does' : 'they fill and do'} not float${HOLED[spec.what] ?? ''}.`,
    );
  }
  maker.tools('supports', 'Tape', 'Marker', ...(pipe ? ['Saw'] : []));
  maker.say(
    'supports',
    say`Stand ${n === 1 ? `the ${name}` : say`the ${q(n, 'count')} ${name}`} on the floor as the plan shows.`,
    5 + 2 * Math.min(n, 20),
  );
  level(maker);
};

/** What is said of things that are closed by themselves. */
const HOLED: Partial<Record<(typeof STANDING_IDS)[number], string>> = {
  bottle: '; screw their caps on, so that no mix gets in',
  jug: '; close their caps, so that no mix gets in',
};

export const lying: Work<'lying'> = (lot, maker) => {
  const { spec, id } = lot;
  const runs = runsOf(lot);
  if (runs.length === 0) return;
  const good = drainPipe(spec.diameter, spec.sock);
  const turning = spec.lay !== 'runs';
  runs.forEach((run, k) => {
    if (run.kind === 'turn' && spec.stiff) {
      const { a, b } = run.line;
      const elbow = spec.diameter;
      maker.cut('supports', id, good, 'Long side', Math.max(2 * a - elbow, 0.02), 2);
      maker.cut('supports', id, good, 'Short side', Math.max(2 * b - elbow, 0.02), 2);
      return;
    }
    const bent = turning
      ? say`laid round, bent no tighter than ${q(tightest(spec), 'length')} at its middle`
      : null;
    maker.cut(
      'supports',
      id,
      good,
      turning ? `Turn ${k + 1}` : `Run ${k + 1}`,
      lengthOf(run),
      1,
      bent,
    );
  });
  const total = maker.lengthOf(id);
  maker.part('supports', {
    id,
    what: 'Perforated pipe',
    amount: say`${q(total, 'span')} of ${q(spec.diameter, 'length')}`,
    use: 'Keeps the reservoir open',
    good,
    quantity: total,
  });
  const elbows = spec.stiff && turning ? 4 * runs.length : 0;
  if (elbows > 0) {
    maker.part('supports', {
      id: `${id}-elbows`,
      what: 'Elbows for the pipe',
      amount: say`${q(elbows, 'count')} ${fittingSize(spec.diameter)}`,
      use: 'Turn the loop’s corners',
      good: SMALL_GOODS.elbow,
      quantity: elbows,
    });
  }
  maker.tools('supports', 'Saw', 'Tape', 'Marker');
  const n = runs.length;
  const sock = spec.sock ? (n === 1 ? ' in its sock' : ' in their socks') : '';
  maker.say(
    'supports',
    turning
      ? spec.stiff
        ? say`Join ${q(4 * n, 'count')} straight pieces with ${q(elbows, 'count')} elbows to a loop, and lay it on the floor a finger from the wall, holes downward.`
        : say`Lay ${n === 1 ? 'one turn' : say`${q(n, 'count')} turns`} of ${q(spec.diameter, 'length')} pipe${sock} on the floor; close the far end with mesh or tie the sock.`
      : say`Lay ${n === 1 ? 'the pipe' : say`${q(n, 'count')} pipes`} of ${q(spec.diameter, 'length')}${sock} on the floor as the plan shows; close the ends with mesh, so that no soil gets in.`,
    10 + 5 * n,
  );
};

export const crates: Work<'crates'> = (lot, maker) => {
  const { spec, id, height } = lot;
  const n = lot.pieces.length;
  if (n === 0) return;
  const one = spec.length * spec.width * spec.height;
  maker.part('supports', {
    id,
    what: CRATE_KINDS[spec.what].name,
    amount: say`${q(n, 'count')}, ${q(spec.length, 'length')} by ${q(spec.width, 'length')} by ${q(spec.height, 'length')}`,
    use: n === 1 ? 'Bears the soil over the water' : 'Bear the soil over the water',
    good: crateGood(spec.what, one),
    quantity: n,
  });
  const name = nameOf(lot);
  const low = spec.height - height > 0.002;
  const round = boxesOf(lot).some(({ x, y, a, b }) =>
    maker.planter.lots.some(
      ({ kind, pieces }) =>
        ['tube', 'inspection', 'column', 'cup', 'cloth'].includes(kind) &&
        pieces.some((piece) => Math.abs(piece.x - x) < a && Math.abs(piece.y - y) < b),
    ),
  );
  maker.tools('supports', 'Tape', ...(low || round ? ['Saw'] : []));
  if (low || round) {
    maker.warn('supports', 'cutting');
    maker.say(
      'supports',
      low
        ? say`Saw the ${name} down to ${q(height, 'length')}${round ? ', and cut openings in them for what stands up through them' : ''}.`
        : say`Cut openings in the ${name} for what stands up through them.`,
      5 * n,
    );
  }
  maker.say(
    'supports',
    say`Set ${q(n, 'count')} ${name} on the floor as the plan shows, open side down.`,
    3 * n,
  );
  level(maker);
};

/** What a panel of the vessel's own curve is cut from. */
const PANEL_FROM: Readonly<Record<string, string>> = {
  windows: 'what comes out of an opening',
  none: 'another vessel of this width',
};

export const arch: Work<'arch'> = (lot, maker) => {
  const { spec, id, height } = lot;
  const [box] = boxesOf(lot);
  if (!box) return;
  const wide = archLength(box.a, height);
  const long = 2 * box.b;
  maker.sheet('saw', {
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
  maker.part(spec.own ? 'saw' : 'supports', {
    id,
    what: 'Panel',
    amount: say`${q(spec.width, 'length')} from edge to edge, ${q(height, 'length')} high, ${q(long, 'length')} long`,
    use: spec.own ? 'Cut from the vessel’s side, laid over the water' : 'Laid over the water',
  });
  if (spec.own) {
    maker.after('saw', 'supports');
    maker.say(
      'saw',
      say`Mark the panel on ${PANEL_FROM[maker.planter.design.vessel.sawing] ?? 'the part that is sawn off'}: ${q(wide, 'length')} round by ${q(long, 'length')} up. Saw it out in one piece and smooth the edges.`,
      20,
    );
  }
  const cover = { length: long + 2 * height, width: wide + 0.1 };
  maker.sheet('supports', {
    id: `${id}-cloth`,
    part: `${id}-cloth`,
    what: 'Cloth over the panel',
    count: 1,
    ...cover,
    outline: null,
    from: say`one piece over the panel, hanging down over its open ends`,
  });
  maker.part('supports', {
    id: `${id}-cloth`,
    what: 'Woven fabric for the panel',
    amount: say`${q(cover.length, 'span')} by ${q(cover.width, 'span')}`,
    use: 'Keeps the mix out from under it',
    good: layerGood('fabric'),
    quantity: cover.length * cover.width,
  });
  if (spec.vents === 'both') vents(maker, lot, 'Panel', VENTS_A_PANEL);
  maker.tools('supports', 'Tape');
  maker.say(
    'supports',
    say`${spec.vents === 'both' ? 'Drill the panel and lay it in' : 'Lay the panel in'} on both its long edges, hollow side down: ${q(spec.width, 'length')} apart it stands ${q(height, 'length')} high. Lay cloth over it and down over its ends, so that no mix gets under.`,
    10,
  );
};

export const sticks: Work<'sticks'> = ({ spec, id, height }, maker) => {
  const layers = Math.max(Math.round(height / spec.diameter), 1);
  maker.part('supports', {
    id,
    what: 'Sticks',
    amount: say`${q(layers, 'count')} crossed layers, ${q(spec.diameter, 'length')} thick, ${q(spec.spacing, 'length')} apart`,
    use: 'Keep the soil up; from the garden',
  });
  maker.tools('supports', 'Secateurs', 'Tape');
  maker.say(
    'supports',
    say`Cut sticks of ${q(spec.diameter, 'length')} to fit, and lay them crosswise, ${q(spec.spacing, 'length')} apart, up to ${q(height, 'length')}. Leave room for the tube and the cups.`,
    25,
  );
};
