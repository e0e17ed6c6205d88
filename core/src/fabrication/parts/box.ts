import { boardPieces, frameBuild, type FrameBuild } from '../../assembly';
import type { PlanterDesign } from '../../document';
import { plural, q, say } from '../../units';
import type { BuildSheetBuilder } from '../buildSheetBuilder';
import { boardGood, FLOOR_BOARD, panelGood, postGood, SMALL_GOODS } from '../goods';

/** A framed box: boards in courses or panels, posts, a floor on legs, and how they are put together. */

type Frame = Extract<PlanterDesign['vessel'], { kind: 'frame' }>;

/** Screws of a floor board. */
const SCREWS_A_BOARD = 4;

/** What a box takes and how it is built. */
export function box(builder: BuildSheetBuilder, spec: Frame): void {
  const { vessel: shape } = builder.planter;
  const { length, width, legs, fall } = spec;
  builder.part('box', {
    id: 'vessel',
    what: 'Box',
    amount: say`${q(shape.volumeBelow(shape.depth), 'volume')} to the rim`,
    use: 'Made of the pieces below',
  });
  const build = frameBuild(spec, builder.set);
  sides(builder, spec, build);
  const floorScrews = legs > 0 ? boxFloor(builder, spec) : 0;
  posts(builder, spec, build);
  const screws = build.screws + floorScrews;
  builder.part('box', {
    id: 'screws',
    what: 'Screws',
    amount: say`${q(screws, 'count')}`,
    use: legs > 0 ? 'Corners, posts and floor' : 'Corners and posts',
    good: SMALL_GOODS.screws,
    quantity: screws,
  });
  builder.tools('box', 'Saw', 'Screwdriver', 'Square');
  builder.warn('box', 'cutting', 'timber');
  sayBox(builder, spec, build);
  if (fall > 0)
    builder.say(
      'box',
      say`Let the floor fall ${q(fall, 'slope')} to the low corner: that is ${q(fall * length, 'length')} from end to end.`,
    );
  builder.check('box', {
    id: 'square',
    must: say`Both diagonals are ${q(Math.hypot(length, width), 'length')}.`,
    mend: say`Push the long diagonal in before the last screws.`,
  });
  for (const step of ['measure', 'overflow', 'line'] as const) builder.after('box', step);
}

/** Boards in courses, or a panel a side. */
function sides(builder: BuildSheetBuilder, spec: Frame, build: FrameBuild): void {
  const { length, width, wall, depth } = spec;
  const good = build.timber ? boardGood(wall, build.width) : panelGood(wall, depth);
  build.courses.forEach(({ longOver }, i) => {
    const [long, short] = longOver ? [length + 2 * wall, width] : [length, width + 2 * wall];
    for (const piece of boardPieces(long, i))
      builder.cut('box', 'boards', good, 'Long side', piece, 2);
    for (const piece of boardPieces(short, i))
      builder.cut('box', 'boards', good, 'Short side', piece, 2);
  });
  const n = build.courses.length;
  const last = depth - (n - 1) * build.width;
  const total = builder.lengthOf('boards');
  builder.part('box', {
    id: 'boards',
    what: build.timber ? 'Side boards' : 'Side panels',
    amount: build.timber
      ? say`${q(total, 'span')} of ${q(build.width, 'length')} wide, ${q(wall, 'lumber')} thick: ${q(n, 'count')} ${plural(n, 'course')}${last < build.width - 5e-4 ? say`, the top one sawn along to ${q(last, 'length')}` : say``}`
      : say`${q(total, 'span')} to make ${q(depth, 'length')} of height, ${q(wall, 'length')} thick`,
    use: 'The four sides',
    good,
    quantity: total,
  });
}

/** Floor boards across the legs. @returns the screws that they take */
function boxFloor(builder: BuildSheetBuilder, { length, width, wall }: Frame): number {
  const across = Math.ceil((width + 2 * wall) / FLOOR_BOARD - 1e-9);
  const good = boardGood(wall, FLOOR_BOARD);
  builder.cut('box', 'floor', good, 'Floor board', length + 2 * wall, across);
  builder.part('box', {
    id: 'floor',
    what: 'Floor boards',
    amount: say`${q(across, 'count')} of ${q(length + 2 * wall, 'span')}, ${q(FLOOR_BOARD, 'length')} wide`,
    use: 'Bear the water and the soil',
    good,
    quantity: builder.lengthOf('floor'),
  });
  return across * SCREWS_A_BOARD;
}

/** Posts outside the corners, which are legs where it stands on some, and along the long sides. */
function posts(builder: BuildSheetBuilder, { depth, legs }: Frame, build: FrameBuild): void {
  const corners = build.posts.filter(({ corner }) => corner).length;
  const between = build.posts.length - corners;
  if (corners > 0) {
    const length = legs + depth;
    const label = legs > 0 ? 'Leg' : 'Corner post';
    const where = say`up the outside of each corner`;
    builder.cut('box', 'legs', postGood(), label, length, corners, where);
  }
  if (between > 0)
    builder.cut(
      'box',
      'legs',
      postGood(),
      'Post between',
      depth,
      between,
      say`along the long sides, the same distance from one to the next`,
    );
  if (build.posts.length === 0) return;
  const long = say`${q(corners, 'count')} of ${q(legs + depth, 'span')}`;
  builder.part('box', {
    id: 'legs',
    what: legs > 0 ? 'Legs' : 'Posts',
    amount: between > 0 ? say`${long}, ${q(between, 'count')} of ${q(depth, 'span')}` : long,
    use: legs > 0 ? 'Under the corners' : 'Outside the corners, and along the long sides',
    good: postGood(),
    quantity: builder.lengthOf('legs'),
  });
}

/** How it is put together. */
function sayBox(builder: BuildSheetBuilder, spec: Frame, build: FrameBuild): void {
  const { length, width, depth, legs } = spec;
  const n = build.courses.length;
  const between = build.posts.filter(({ corner }) => !corner).length / 2;
  if (!build.timber)
    builder.say(
      'box',
      say`Screw the panels to a box of ${q(length, 'length')} by ${q(width, 'length')} inside, ${q(depth, 'length')} deep; both diagonals the same.`,
      40,
    );
  else {
    builder.say(
      'box',
      say`Lay the lowest course out to a box of ${q(length, 'length')} by ${q(width, 'length')} inside, and screw a ${legs > 0 ? 'leg' : 'post'} to the outside of each corner, on the long sides, with two screws in the end of each board; both diagonals the same.`,
      25,
    );
    if (legs > 0)
      builder.say(
        'box',
        say`Let the legs stand ${q(legs, 'length')} below it, and screw the floor boards across.`,
        20,
      );
    if (n > 1)
      builder.say(
        'box',
        say`Set the other ${q(n - 1, 'count')} ${plural(n - 1, 'course')} on it, ends lapped the other way in every second one, up to ${q(depth, 'length')}.`,
        8 * (n - 1),
      );
    if (between > 0)
      builder.say(
        'box',
        say`Screw ${q(between, 'count')} ${plural(between, 'post')} to the outside of each long side, evenly between its corners: wet soil pushes boards out.`,
        6 * between,
      );
    if (build.courses.some((_, i) => boardPieces(length, i).length > 1))
      builder.say(
        'box',
        say`Let boards that are pieced meet on a post, never one joint above another.`,
      );
    return;
  }
  if (legs > 0)
    builder.say(
      'box',
      say`Screw the legs to the corners so that the floor comes ${q(legs, 'length')} above the ground, and the floor boards across.`,
      20,
    );
}
