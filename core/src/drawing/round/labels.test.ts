import { evaluate } from '../../assessment';
import { STARTING_POINTS } from '../../document';
import { buildSheet } from '../../fabrication';
import { partAt, pathsOf, roundPicture, stepPicture, type Lettering, type RoundPicture } from '.';

/** Type of three millimetres on a page of 150, and letters as wide as a sans serif’s are on the whole. */
const LETTERING: Lettering = { size: 15, widthOf: (text) => 0.52 * 15 * text.length };
const STEP = { width: 420, height: 300, lettering: LETTERING };
const WHOLE = { width: 640, height: 420, lettering: LETTERING };

const BUILDS = STARTING_POINTS.filter(({ id }) => id !== 'blank').map(({ id, design }) => {
  const { planter, assessment } = evaluate(design);
  const order = buildSheet(planter, assessment.figures, 'metric').steps.map((step) => step.id);
  const pictures = order.map((step) => ({ step, picture: stepPicture(planter, order, step) }));
  return { id, whole: roundPicture(planter), pictures };
});

/** What is wrong with the names of a picture, in words. */
function wrongIn(picture: RoundPicture, page: typeof STEP): string[] {
  const { labels, width, height } = pathsOf(picture, page);
  const wrong: string[] = [];
  if (width > page.width + 0.5 || height > page.height + 0.5) wrong.push('larger than its page');
  const boxes = labels.map(({ lines, x, y, anchor, of }) => {
    const wide = Math.max(...lines.map(LETTERING.widthOf));
    const half = (lines.length * 1.2 * LETTERING.size) / 2;
    const left = anchor === 'end' ? x - wide : x;
    return { of, left, right: left + wide, top: y - half, bottom: y + half };
  });
  for (const [i, box] of boxes.entries()) {
    if (box.left < 0 || box.right > width || box.top < 0 || box.bottom > height)
      wrong.push(`${box.of} is cut off`);
    for (const other of boxes.slice(i + 1))
      if (
        box.left < other.right &&
        other.left < box.right &&
        box.top < other.bottom &&
        other.top < box.bottom
      )
        wrong.push(`${box.of} lies over ${other.of}`);
  }
  for (const [i, { of, from, to }] of labels.entries()) {
    for (const other of labels.slice(i + 1)) {
      // Level lines meet where they are at one height and reach over each other.
      const [a, b] = [Math.min(from[0], to[0]), Math.max(from[0], to[0])];
      const [c, d] = [Math.min(other.from[0], other.to[0]), Math.max(other.from[0], other.to[0])];
      if (Math.abs(from[1] - other.from[1]) < 1 && a < d && c < b)
        wrong.push(`the lines of ${of} and ${other.of} meet`);
    }
    for (let k = 0; k <= 40; k += 1) {
      const x = from[0] + ((to[0] - from[0]) * k) / 40;
      const there = partAt(picture, page, [x, from[1]]);
      if (there !== null && there !== of && !picture.enclosing.has(there))
        wrong.push(`the line of ${of} goes over ${there}`);
    }
  }
  return wrong;
}

test.each(BUILDS)(
  '$id: names are whole, clear of each other, and their lines go to what they mean',
  (build) => {
    expect(wrongIn(build.whole, WHOLE)).toEqual([]);
    for (const { step, picture } of build.pictures)
      expect([step, ...wrongIn(picture, STEP)]).toEqual([step]);
  },
);

test('most of what comes in a step is named, and at least three things of every whole', () => {
  let [wanted, named] = [0, 0];
  for (const { id, whole, pictures } of BUILDS) {
    const { labels } = pathsOf(whole, WHOLE);
    expect([id, labels.length >= 3]).toEqual([id, true]);
    for (const { picture } of pictures) {
      if (picture.names.length === 0) continue;
      wanted += 1;
      if (pathsOf(picture, STEP).labels.length > 0) named += 1;
    }
  }
  expect(wanted).toBeGreaterThan(100);
  expect(named / wanted).toBeGreaterThan(0.85);
});

test('without lettering there are no names, and the picture has the whole page', () => {
  const picture = BUILDS[0]!.whole;
  const [bare, lettered] = [pathsOf(picture, { width: 640, height: 420 }), pathsOf(picture, WHOLE)];
  expect(bare.labels).toEqual([]);
  expect(bare.height).toBeGreaterThanOrEqual(lettered.height);
});
