import { evaluate } from '../../assessment';
import { applyPatch, STARTING_POINTS, type Patch } from '../../document';
import { buildSheet, PAPER_IDS, PAPERS, tilesOf, type Template } from '..';

const sheetOf = (id: string, patch: Patch = []) => {
  const design = applyPatch(STARTING_POINTS.find((one) => one.id === id)!.design, patch);
  const { planter, assessment } = evaluate(design);
  return {
    planter,
    figures: assessment.figures,
    ...buildSheet(planter, assessment.figures, 'metric'),
  };
};
const template = (sheet: { templates: readonly Template[] }, id: string): Template =>
  sheet.templates.find((one) => one.id === id)!;
const circles = ({ shapes }: Template) =>
  shapes.filter((shape) => shape.kind === 'circle' && shape.stroke === 'cut');

describe('rows of holes on a tapered barrel', () => {
  const taper: Patch = [
    { path: ['vessel', 'bottomDiameter'], value: 0.5 },
    { path: ['vessel', 'topDiameter'], value: 0.6 },
  ];
  const sheet = sheetOf('air-barrel', taper);
  const { design } = sheet.planter;
  if (design.vessel.kind !== 'round' || design.overflow?.kind !== 'rows') throw new Error('rows');
  const { vessel, overflow } = design;
  const bit = sheet.holes[0]!.bit;
  const holes = circles(template(sheet, 'rows')) as { x: number; y: number; r: number }[];
  const slant = Math.hypot(1, (vessel.topDiameter - vessel.bottomDiameter) / 2 / vessel.depth);
  /** Outside radius, from the measures of the barrel alone. */
  const radius = (z: number) =>
    vessel.bottomDiameter / 2 +
    ((vessel.topDiameter - vessel.bottomDiameter) / 2) * (z / vessel.depth) +
    vessel.wall * slant;
  const heightOf = (row: number) => overflow.centre + row * overflow.pitch;
  const inRow = (row: number) => {
    const perRow = holes.length / overflow.rows;
    return holes.slice(row * perRow, (row + 1) * perRow).sort((a, b) => a.x - b.x);
  };
  // The tip of the cone that the wall unrolls about, from two points of one edge of the strip.
  const tip =
    -radius(0) / ((vessel.topDiameter - vessel.bottomDiameter) / 2 / vessel.depth / slant);

  test('spacing along the real wall is that of the strip, to half a millimetre', () => {
    for (let row = 0; row < overflow.rows; row += 1) {
      const [one, other] = inRow(row);
      const away = Math.hypot(one!.x, one!.y - tip);
      const angle = Math.atan2(other!.x, other!.y - tip) - Math.atan2(one!.x, one!.y - tip);
      const onPaper = away * angle;
      const onWall = (2 * Math.PI * radius(heightOf(row))) / overflow.count;
      expect(Math.abs(onPaper - onWall)).toBeLessThan(5e-4);
      // It is no straight strip: from the lowest to the topmost row the spacing grows.
      if (row > 0)
        expect(onPaper).toBeGreaterThan(
          (2 * Math.PI * radius(heightOf(0))) / overflow.count + 1e-3,
        );
    }
  });

  test('rows keep their distance up the slant, and are set off by half', () => {
    const away = (row: number) => Math.hypot(inRow(row)[0]!.x, inRow(row)[0]!.y - tip);
    for (let row = 1; row < overflow.rows; row += 1) {
      expect(away(row) - away(row - 1)).toBeCloseTo(overflow.pitch * slant, 6);
      const turn = (hole: { x: number; y: number }) => Math.atan2(hole.x, hole.y - tip);
      const pitch = turn(inRow(row)[1]!) - turn(inRow(row)[0]!);
      expect(Math.abs(turn(inRow(row)[0]!) - turn(inRow(row - 1)[0]!))).toBeCloseTo(pitch / 2, 9);
    }
    expect(holes.every(({ r }) => Math.abs(2 * r - bit) < 1e-9)).toBe(true);
  });
});

test('an upright barrel’s strip is straight, and its holes are pi times its outside apart', () => {
  const sheet = sheetOf('air-barrel');
  const [one, other] = circles(template(sheet, 'rows'));
  if (one?.kind !== 'circle' || other?.kind !== 'circle') throw new Error('holes');
  expect(one.y).toBe(other.y);
  // 570 mm inside and 3 mm of wall: 576 mm outside, ten holes round.
  expect(other.x - one.x).toBeCloseTo((Math.PI * (0.57 + 2 * sheet.planter.vessel.wall)) / 10, 9);
});

test('the overflow strip has the hole as far up the slanting wall as its height asks', () => {
  const sheet = sheetOf('nested-totes');
  const [hole] = circles(template(sheet, 'overflow'));
  if (hole?.kind !== 'circle') throw new Error('hole');
  const { overflow } = sheet.planter.design;
  const mark = overflow?.kind === 'hole' ? overflow.centre : 0;
  // Inside 460 mm at the floor, 520 mm at the rim, 310 mm up.
  expect(hole.y).toBeCloseTo(mark * Math.hypot(1, 0.03 / 0.31), 6);
});

test('the platform is the inside at its height less play, with every hole of the schedule', () => {
  const sheet = sheetOf('cloth-pail');
  const plate = template(sheet, 'platform');
  const [outline, ...holes] = circles(plate);
  if (outline?.kind !== 'circle') throw new Error('outline');
  const { vessel } = sheet.planter;
  expect(2 * outline.r).toBeCloseTo(2 * vessel.halfAt(0.1) - 0.002, 9);
  const scheduled = sheet.holes
    .filter(({ step }) => step === 'platform')
    .flatMap(({ spots }) => spots);
  expect(holes).toHaveLength(scheduled.length);
});

test('a dip stick’s litres are those of the planter, and its days empty it', () => {
  const sheet = sheetOf('cloth-pail');
  const stick = template(sheet, 'dip-stick');
  const words = stick.shapes.filter((shape) => shape.kind === 'text');
  const marks = words.filter(({ text }) => /\d.L$/.test(text) && !text.startsWith('FULL'));
  expect(marks.length).toBeGreaterThan(3);
  for (const { text, y, size } of marks) {
    const litres = parseFloat(text) / 1000;
    const level = y + size / 2;
    expect(Math.abs(sheet.planter.storage.volumeBelow(level) - litres)).toBeLessThan(2e-5);
  }
  const day = words.find(({ text }) => text === '1 day')!;
  const left =
    sheet.planter.storage.volumeBelow(day.y + day.size / 2) -
    sheet.planter.storage.volumeBelow(sheet.figures.usableLevel);
  expect(Math.abs(left - sheet.figures.hot.total * 86_400)).toBeLessThan(2e-5);
});

test('sheets of paper cover every shape, share their marks, and none is empty', () => {
  for (const { id } of STARTING_POINTS) {
    for (const one of sheetOf(id).templates) {
      for (const paper of PAPER_IDS) {
        const tiles = tilesOf(one, paper);
        const sides = [PAPERS[paper].width, PAPERS[paper].height].sort();
        for (const shape of one.shapes) {
          const points: readonly (readonly [number, number])[] =
            shape.kind === 'path'
              ? shape.points
              : shape.kind === 'circle'
                ? [[shape.x, shape.y + shape.r]]
                : [];
          for (const [x, y] of points) {
            const on = tiles.filter(
              ({ window: w }) =>
                x >= w.left - 1e-9 &&
                x <= w.left + w.width + 1e-9 &&
                y >= w.bottom - 1e-9 &&
                y <= w.bottom + w.height + 1e-9,
            );
            expect([id, one.id, on.length > 0]).toEqual([id, one.id, true]);
          }
        }
        for (const tile of tiles) {
          expect([tile.width, tile.height].sort()).toEqual(sides);
          expect(tile.at.x + tile.window.width).toBeLessThan(tile.width - 0.01);
          expect(tile.at.y + tile.window.height).toBeLessThan(tile.height - 0.01);
        }
        const labels = tiles.flatMap(({ marks }) => marks.map(({ label }) => label));
        if (tiles.length > 1)
          expect(labels.some((label, i) => labels.indexOf(label) !== i)).toBe(true);
      }
    }
  }
});
