import {
  fixedHead,
  runColumn,
  hydraulicTableFor,
  uniform,
  type End,
  type HydraulicValues,
  type HydraulicTable,
} from '../../physics/column';
import { applyPatch, STARTING_POINTS, type Patch } from '../../document';
import { assemble } from '../../assembly';
import {
  carries,
  fieldFinding,
  moistureField,
  picturesOf,
  pictureTurned,
  readField,
  withMoisture,
} from '.';
import { checkRemedy } from '../../assessment';
import { wordsIn } from '../../units';
import { gridOf, type Body, type Grid } from './grid';
import { steadyFlow, type Problem } from './steady';
import { MIXES } from '../../catalog';

const box = (a: number, b: number, to: number): Body => ({
  outlineAt: () => ({ a, b, c: 0 }),
  ...{ from: 0, to, alikeX: false, alikeY: false },
});
const nothing: Problem['sink'] = (_h, taken, slope) => {
  taken.fill(0);
  slope.fill(0);
};

test('a grid holds the volume of the real outline, a quarter of it a quarter', () => {
  const round = { a: 0.15, b: 0.15, c: 0.15 };
  const cone = (z: number) => ({ a: 0.12 + 0.1 * z, b: 0.12 + 0.1 * z, c: 0.12 + 0.1 * z });
  const volume = ({ volume: all }: Grid) => all.reduce((sum, one) => sum + one, 0);
  for (const alike of [false, true]) {
    const body = { from: 0, to: 0.3, alikeX: alike, alikeY: alike };
    const disc = gridOf({ ...body, outlineAt: () => round }, 0.012, 10);
    expect(Math.abs((volume(disc) * disc.times) / (Math.PI * 0.15 ** 2 * 0.3) - 1)).toBeLessThan(
      0.01,
    );
    const pail = gridOf({ ...body, outlineAt: cone }, 0.012, 20);
    const exact = (Math.PI * 0.3 * (0.12 ** 2 + 0.12 * 0.15 + 0.15 ** 2)) / 3;
    expect(Math.abs((volume(pail) * pail.times) / exact - 1)).toBeLessThan(0.015);
  }
});

test('where nothing varies sideways it is the column, to a tenth of a millimetre of head', () => {
  const nz = 24;
  const depth = 0.25;
  const medium = hydraulicTableFor(MIXES['coir-perlite']);
  const draws = (2e-3 / 86_400) * 0.04;
  const cells = uniform(medium, depth, nz, 0.04);
  const held = fixedHead(cells, -0.02, 'bottom');
  const dries: End = {
    flux(_h, out) {
      out[0] = -draws;
      out[1] = 0;
    },
  };
  const h = Float64Array.from({ length: nz }, (_, k) => -0.05 - k * cells.dz);
  const sink = new Float64Array(nz).fill((draws * 2) / nz);
  runColumn(cells, h, 400 * 86_400, { bottom: held, top: dries }, { most: 20 * 86_400, sink });

  const grid = gridOf(box(0.1, 0.1, depth), 0.05, nz);
  const columns = grid.nx * grid.ny;
  const two = new Float64Array(2);
  const flow = steadyFlow(
    {
      grid,
      media: Array.from({ length: nz }, () => medium),
      bottom(_column, head, out) {
        held.flux(head, two);
        out[0] = two[0]! / columns;
        out[1] = two[1]! / columns;
      },
      top(_column, _head, out) {
        out[0] = -draws / columns;
        out[1] = 0;
      },
      sink(_h, taken, slope) {
        taken.fill((draws * 2) / nz / columns);
        slope.fill(0);
      },
    },
    (_box, z) => -0.05 - z,
  );
  expect(flow.imbalance).toBeLessThan(1e-3);
  flow.h.forEach((head, c) => expect(Math.abs(head - h[c % nz]!)).toBeLessThan(1e-4));
});

test('whatever it begins from, it ends at the same heads', () => {
  const grid = gridOf(box(0.12, 0.08, 0.2), 0.03, 8);
  const draws = (3e-3 / 86_400) * 4 * 0.12 * 0.08;
  const middle = (column: number) => (column % grid.nx) * 2 < grid.nx;
  const problem: Problem = {
    grid,
    media: Array.from({ length: grid.nz }, () => hydraulicTableFor(MIXES['coir-perlite'])),
    // Fed on one side only, by so much as the soil there draws.
    bottom(column, h, out) {
      const open = middle(column) ? grid.base[column]! * 2e-6 : 0;
      out[0] = open * (-0.05 - h);
      out[1] = -open;
    },
    top(column, _h, out) {
      const open = grid.up[column * grid.nz + grid.nz - 1]!;
      out[0] = (-draws * open) / (4 * 0.12 * 0.08);
      out[1] = 0;
    },
    sink: nothing,
  };
  const wet = steadyFlow(problem, (_box, z) => -0.05 - z);
  const dry = steadyFlow(problem, () => -1.5);
  const again = steadyFlow(problem, (c) => dry.h[c]!, true);
  expect(again.steps).toBeLessThan(wet.steps);
  for (const one of [dry, again]) {
    expect(one.imbalance).toBeLessThan(1e-3);
    one.h.forEach((head, c) => expect(Math.abs(head / wet.h[c]! - 1)).toBeLessThan(0.01));
  }
});

/**
 * Gardner's exponential soil makes steady flow linear: with Φ = K/α, ∇²Φ + α ∂Φ/∂z = 0 (Philip 1968; Lomen
 * and Warrick 1978). In a strip with closed sides it has a closed form for a flux at the base that varies as
 * cos(πx/L) and a surface that is kept at a head.
 */
describe('Gardner’s soil in a strip', () => {
  const alpha = 8;
  const Ks = 2e-6;
  const L = 0.4;
  const H = 0.3;
  const dry = -0.6;
  const [q0, q1] = [4e-9, 3e-9];
  const phiTop = (Ks / alpha) * Math.exp(alpha * dry);
  const c0 = (phiTop + q0 / alpha) * Math.exp(alpha * H);
  const k = Math.PI / L;
  const root = Math.sqrt(alpha * alpha + 4 * k * k);
  const [l1, l2] = [(-alpha + root) / 2, (-alpha - root) / 2];
  // B = C1·e^(λ1 z) + C2·e^(λ2 z), nothing at the top, −(B' + αB) = q1 at the base.
  const ratio = -Math.exp((l1 - l2) * H);
  const C1 = -q1 / (l1 + alpha + ratio * (l2 + alpha));
  const phi = (x: number, z: number) =>
    -q0 / alpha +
    c0 * Math.exp(-alpha * z) +
    C1 * (Math.exp(l1 * z) + ratio * Math.exp(l2 * z)) * Math.cos(k * x);
  const exact = (x: number, z: number) => Math.log((alpha * phi(x, z)) / Ks) / alpha;

  const soil: HydraulicTable = {
    soil: { ...MIXES['coir-perlite'], Ks },
    look(h: Float64Array, from: number, to: number, { theta, K, C, dK }: HydraulicValues) {
      for (let i = from; i < to; i += 1) {
        theta[i] = 0.5 + 0.1 * h[i]!;
        C[i] = 0.1;
        K[i] = Ks * Math.exp(alpha * h[i]!);
        if (dK) dK[i] = alpha * K[i]!;
      }
    },
    theta: (h) => 0.5 + 0.1 * h,
    K: (h) => Ks * Math.exp(alpha * h),
  };

  const errorOn = (n: number): { mean: number; imbalance: number } => {
    const body = { ...box(L / 2, 0.05, H), alikeY: true };
    const grid = gridOf(body, L / n, n);
    const G = (h: number) => ((soil.K(dry) + soil.K(h)) / 2) * (2 / grid.dz);
    const flow = steadyFlow(
      {
        grid,
        media: Array.from({ length: n }, () => soil),
        bottom(column, _h, out) {
          const x = ((column % grid.nx) + 0.5) * grid.dx;
          out[0] = (q0 + q1 * Math.cos(k * x)) * grid.base[column]!;
          out[1] = 0;
        },
        top(column, h, out) {
          const open = grid.up[column * grid.nz + grid.nz - 1]!;
          out[0] = open * G(h) * (dry - h + grid.dz / 2);
          out[1] = -open * G(h);
        },
        sink: nothing,
      },
      () => -0.3,
    );
    let sum = 0;
    for (let i = 0; i < grid.nx; i += 1) {
      for (let z = 0; z < n; z += 1) {
        sum += Math.abs(flow.h[i * n + z]! - exact((i + 0.5) * grid.dx, (z + 0.5) * grid.dz));
      }
    }
    return { mean: sum / (grid.nx * n), imbalance: flow.imbalance };
  };

  test('the closed form is one', () => {
    // −(Φ' + αΦ) at the base is the flux, and the surface is kept.
    const flux = (x: number) => -((phi(x, 1e-6) - phi(x, 0)) / 1e-6 + alpha * phi(x, 0));
    for (const x of [0, 0.1, 0.3]) {
      expect(Math.abs(flux(x) / (q0 + q1 * Math.cos(k * x)) - 1)).toBeLessThan(1e-3);
      expect(exact(x, H)).toBeCloseTo(dry, 9);
    }
  });

  test('three grids close in on it, by the square of their size', () => {
    const [coarse, middle, fine] = [8, 16, 32].map(errorOn);
    expect(fine!.mean).toBeLessThan(1e-3);
    expect(Math.log2(coarse!.mean / middle!.mean)).toBeGreaterThan(1.6);
    expect(Math.log2(middle!.mean / fine!.mean)).toBeGreaterThan(1.5);
    for (const one of [coarse, middle, fine]) expect(one!.imbalance).toBeLessThan(1e-3);
  });
});

const designOf = (id: string, patch: Patch = []) =>
  applyPatch(STARTING_POINTS.find((point) => point.id === id)!.design, patch);
const fieldOf = (id: string, patch: Patch = [], share = 1) => {
  const planter = assemble(designOf(id, patch));
  const level = planter.heights.brim * share;
  return { planter, field: moistureField(planter, { level, et: planter.design.place.etHot }) };
};

test.each(STARTING_POINTS.map(({ id }) => id).filter((id) => id !== 'blank'))(
  '%s: what comes up is what is drunk and dries, full and low',
  (id) => {
    for (const share of [1, 0.4]) {
      const { field } = fieldOf(id, [], share);
      expect(field.imbalance).toBeLessThan(1e-3);
      expect(field.drunk).toBeLessThanOrEqual(1 + 1e-9);
      expect(field.shares.wet + field.shares.easy + field.shares.dry).toBeCloseTo(1, 6);
    }
  },
);

describe('one cup in a wide barrel', () => {
  const crowd: Patch = [
    { path: ['planting', 'crops', 0, 'count'], value: 6 },
    { path: ['planting', 'crops', 0, 'spacing'], value: 0.2 },
  ];
  const one: Patch = [...crowd, { path: ['wicks', 0, 'count'], value: 1 }];

  test('soil is drier the farther from the cup, and the rim stays dry', () => {
    const { planter, field } = fieldOf('cut-barrel', one);
    const { grid, h } = field;
    const suction = (i: number) => -h[i * grid.nz + Math.floor(grid.nz / 2)]!;
    // Over the cup in the middle, and near the wall; a quarter begins in the middle.
    const [near, far] = [grid.x0 === 0 ? 0 : grid.nx >> 1, grid.nx - 2];
    expect(suction(far)).toBeGreaterThan(1.5 * suction(near));
    const reading = readField(planter, field);
    expect(field.shares.dry).toBeGreaterThan(0.2);
    expect(reading.seedEdge).toBe(false);
  });

  test('more cups carry it out, and that is offered after it was tried', () => {
    const design = designOf('cut-barrel', one);
    const { brim } = assemble(design).heights;
    const question = { level: brim, et: design.place.etHot };
    const dry = moistureField(assemble(design), question).shares.dry;
    const [best] = carries(design, question);
    expect(best).toBeDefined();
    const mended = moistureField(assemble(applyPatch(design, best!.patch)), question);
    expect(mended.shares.dry).toBeLessThan(0.7 * dry);
  });
});

describe('what the moisture says among the findings', () => {
  const { tell } = wordsIn('metric', 'point', 'british');
  const onAHotDay = (id: string, patch: Patch = []) => {
    const design = designOf(id, patch);
    const planter = assemble(design);
    const question = { level: planter.heights.brim, et: design.place.etHot };
    const field = moistureField(planter, question);
    const pictures = picturesOf(planter, field, readField(planter, field));
    return { design, pictures, carried: carries(design, question) };
  };

  test.each(STARTING_POINTS.map(({ id }) => id).filter((id) => id !== 'blank'))(
    '%s gets water to all its roots',
    (id) => {
      const { pictures, carried } = onAHotDay(id);
      expect(fieldFinding(pictures, carried)).toBeNull();
    },
  );

  test('one hole under a long tote: how much stands dry, and a change that leaves less and brings nothing', () => {
    const { design, pictures, carried } = onAHotDay('nested-totes', [
      { path: ['wicks', 0, 'legs'], value: 2 },
    ]);
    const finding = fieldFinding(pictures, carried);
    expect(tell(finding!.text)).toMatch(
      /^Carry water farther: on a hot day 2\d% of the roots stand dry/,
    );
    const known = new Set(checkRemedy(design, [])!.drafts.map(({ id }) => id));
    expect(finding!.remedies.length).toBeGreaterThan(0);
    for (const { patch } of finding!.remedies) {
      const brought = checkRemedy(design, patch)!.drafts.filter(({ id }) => !known.has(id));
      expect(brought.filter(({ severity }) => severity !== 'note')).toEqual([]);
    }
  });

  test('where it is dry decides what is said, and the rim is told in its width', () => {
    const { pictures } = onAHotDay('nested-totes');
    const told = (dry: number, dryPlan: number, rim: number | null): string | null => {
      const reading = { ...pictures.reading, dryPlan, rim };
      const shares = { wet: 0, easy: 1 - dry, dry };
      const finding = fieldFinding({ shares, reading }, []);
      return finding && tell(finding.text);
    };
    expect(told(0.04, 0.1, 0.05)).toBeNull();
    expect(told(0.22, 0.4, 0.09)).toMatch(/^Carry water to the outer 90\smm: .*22% of the roots/);
    expect(told(0.3, 1, null)).toMatch(/^Water from the top on hot days/);
    expect(told(0.3, 0.5, null)).toMatch(/in patches\.$/);
    // Nothing comes up at all: that is a wick that is missing, and said as one.
    expect(told(1, 1, null)).toBeNull();
  });

  test('stands among the others by how bad it is, and not where a wick has a fault', () => {
    const { pictures, carried } = onAHotDay('nested-totes', [
      { path: ['wicks', 0, 'legs'], value: 2 },
    ]);
    const moisture = fieldFinding(pictures, carried);
    const other = (id: string, severity: 'fault' | 'note', panel: 'wick' | 'soil') => ({
      ...moisture!,
      ...{ id, severity, panel },
    });
    const [bad, good] = [other('roots', 'fault', 'soil'), other('lift', 'note', 'soil')];
    expect(withMoisture([bad, good], moisture).map(({ id }) => id)).toEqual([
      ...['roots', 'moisture', 'lift'],
    ]);
    expect(withMoisture([bad, good], null)).toEqual([bad, good]);
    const weak = other('wick-weak', 'fault', 'wick');
    expect(withMoisture([weak, good], moisture)).toEqual([weak, good]);
  });

  test('seed stays moist where the surface is within what its mix gets wet to, as the findings have it', () => {
    // Coir mix is wet to 320 mm over standing water: a shallow pot on gravel is, a deep barrel is not.
    expect(onAHotDay('stone-pot').pictures.reading).toMatchObject({
      ...{ seedMiddle: true, seedEdge: true },
    });
    expect(onAHotDay('cut-barrel').pictures.reading).toMatchObject({
      ...{ seedMiddle: false, seedEdge: false },
    });
  });

  test('a level cut is turned as a plan is, and four quarters are none', () => {
    const { plan } = onAHotDay('nested-totes').pictures;
    const once = pictureTurned(plan);
    expect([once.wide, once.tall]).toEqual([plan.tall, plan.wide]);
    // The box in the front left corner goes to the upper left: x' = y, y' = -x.
    expect(once.suctions[(once.tall - 1) * once.wide]).toBe(plan.suctions[0]);
    expect(once.bounds).toEqual({
      left: plan.bounds.bottom,
      right: plan.bounds.top,
      bottom: -plan.bounds.right,
      top: -plan.bounds.left,
    });
    const again = pictureTurned(pictureTurned(pictureTurned(once)));
    expect(again.suctions).toEqual(plan.suctions);
    expect(again.bounds).toEqual(plan.bounds);
  });
});

test('a sunny day dries more of it than a mild one, a low reservoir more than a full', () => {
  const patch: Patch = [{ path: ['wicks', 0, 'legs'], value: 2 }];
  const planter = assemble(designOf('nested-totes', patch));
  const { etHot, etMild } = planter.design.place;
  const dry = (et: number, share: number) =>
    moistureField(planter, { level: planter.heights.brim * share, et }).shares.dry;
  expect(dry(etHot, 1)).toBeGreaterThanOrEqual(dry(etMild, 1));
  expect(dry(etHot, 0.3)).toBeGreaterThan(dry(etHot, 1));
});
