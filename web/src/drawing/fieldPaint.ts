import { moistureAt, type FieldPicture, type Moisture } from '@huerta/core/simulation/moisture';

/** Longest side of a painting, pixels of its own. */
const SIDE = 480;
/** Suctions, metres, and the inks between which they are painted, in steps of their logarithm. */
const INKS: readonly (readonly [number, readonly [number, number, number]])[] = [
  [0.01, [18, 72, 112]],
  [0.05, [38, 112, 138]],
  [0.3, [98, 152, 124]],
  [1, [196, 190, 116]],
  [4, [222, 176, 96]],
  [20, [236, 214, 170]],
];

/** Where two kinds of moisture meet. */
const LINE = [40, 34, 24] as const;

/** The ink of soil at a suction, metres: from water over moss to straw. */
export function moistureInk(suction: number): string {
  return `rgb(${inkOf(suction).join(' ')})`;
}

function inkOf(suction: number): [number, number, number] {
  const s = Math.max(suction, 0.01);
  for (let i = 1; i < INKS.length; i += 1) {
    const [[s0, a], [s1, b]] = [INKS[i - 1]!, INKS[i]!];
    if (s > s1 && i < INKS.length - 1) continue;
    const t = Math.min(Math.max(Math.log(s / s0) / Math.log(s1 / s0), 0), 1);
    return [0, 1, 2].map((k) => Math.round(a[k]! + (b[k]! - a[k]!) * t)) as [
      number,
      number,
      number,
    ];
  }
  return [0, 0, 0];
}

/** A place for a word on a painting, in shares of its width from the left and of its height from above. */
interface FieldWord {
  moisture: Moisture;
  x: number;
  y: number;
}

/** A cut through the soil, painted by its moisture, with lines where wet, moist and dry meet. */
interface FieldPainting {
  /** The picture, to be shown as wide and high as its bounds; empty where nothing can be painted. */
  url: string;
  words: readonly FieldWord[];
}

/** Paints a picture of moisture within the soil's outline. */
export function paintField(picture: FieldPicture): FieldPainting {
  const { left, right, bottom, top } = picture.bounds;
  const scale = SIDE / Math.max(right - left, top - bottom);
  const [width, height] = [right - left, top - bottom].map((side) => Math.ceil(side * scale)) as [
    number,
    number,
  ];
  const suctions = Float32Array.from({ length: width * height }, (_, n) =>
    between(picture, ((n % width) + 0.5) / width, 1 - (Math.floor(n / width) + 0.5) / height),
  );
  const classes = Uint8Array.from(suctions, (one) => CLASSES.indexOf(moistureAt(-one)));
  const canvas = document.createElement('canvas');
  Object.assign(canvas, { width, height });
  const paint = canvas.getContext('2d');
  if (!paint) return { url: '', words: [] };
  paint.putImageData(painted(suctions, classes, width, height), 0, 0);
  // Only what lies inside the soil's outline stays.
  const path = new Path2D();
  for (const [x, y] of picture.outline) {
    path.lineTo(((x - left) / (right - left)) * width, ((top - y) / (top - bottom)) * height);
  }
  path.closePath();
  paint.globalCompositeOperation = 'destination-in';
  paint.fill(path);
  return { url: canvas.toDataURL(), words: wordsOn(classes, width, height) };
}

const CLASSES: readonly Moisture[] = ['wet', 'easy', 'dry'];

/** Room that a word wants to every side, as a share of the painting's longer side. */
const WORD_ROOM = 0.045;

/** The middle of the largest part of each class, where a word has room there. */
export function wordsOn(classes: Uint8Array, width: number, height: number): FieldWord[] {
  const room = roomAt(classes, width, height);
  return CLASSES.flatMap((moisture, one): FieldWord[] => {
    let best = -1;
    classes.forEach((kind, n) => {
      if (kind === one && (best < 0 || room[n]! > room[best]!)) best = n;
    });
    if (best < 0 || room[best]! < WORD_ROOM * Math.max(width, height)) return [];
    return [
      {
        moisture,
        x: ((best % width) + 0.5) / width,
        y: (Math.floor(best / width) + 0.5) / height,
      },
    ];
  });
}

/** How far each pixel is from another class or the edge, in pixels up, down and across: in two passes. */
function roomAt(classes: Uint8Array, width: number, height: number): Uint16Array {
  const room = new Uint16Array(classes.length).fill(0xffff);
  const from = (n: number, other: number, inside: boolean): void => {
    const far = inside && classes[other] === classes[n] ? room[other]! : 0;
    room[n] = Math.min(room[n]!, far + 1);
  };
  for (let n = 0; n < classes.length; n += 1) {
    from(n, n - 1, n % width > 0);
    from(n, n - width, n >= width);
  }
  for (let n = classes.length - 1; n >= 0; n -= 1) {
    from(n, n + 1, n % width < width - 1);
    from(n, n + width, n < width * (height - 1));
  }
  return room;
}

function painted(
  suctions: Float32Array,
  classes: Uint8Array,
  width: number,
  height: number,
): ImageData {
  const image = new ImageData(width, height);
  for (let n = 0; n < classes.length; n += 1) {
    const [x, y] = [n % width, Math.floor(n / width)];
    const meets =
      (x < width - 1 && classes[n + 1] !== classes[n]) ||
      (y < height - 1 && classes[n + width] !== classes[n]);
    const ink = meets ? LINE : inkOf(suctions[n]!);
    image.data.set([...ink, 255], n * 4);
  }
  return image;
}

/** The suction at a place, by shares of the picture from the left and from below, straight between boxes. */
function between({ wide, tall, suctions }: FieldPicture, x: number, y: number): number {
  const [i, j] = [x * wide - 0.5, y * tall - 0.5];
  const [i0, j0] = [Math.floor(i), Math.floor(j)];
  const at = (a: number, b: number): number =>
    suctions[Math.min(Math.max(b, 0), tall - 1) * wide + Math.min(Math.max(a, 0), wide - 1)]!;
  const [u, v] = [i - i0, j - j0];
  return (
    (at(i0, j0) * (1 - u) + at(i0 + 1, j0) * u) * (1 - v) +
    (at(i0, j0 + 1) * (1 - u) + at(i0 + 1, j0 + 1) * u) * v
  );
}
