import { Text } from '@chakra-ui/react';
import { moistureAt, type FieldPicture } from '@huerta/core';
import { useEffect, useRef } from 'react';

/** Longest side of a picture, pixels of its own. */
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

/** A cut through the soil, painted by its moisture, with lines where wet, moist and dry meet. */
export function FieldCanvas({ picture, label }: { picture: FieldPicture; label: string }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { left, right, bottom, top } = picture.bounds;
  const [long, high] = [right - left, top - bottom];
  const scale = SIDE / Math.max(long, high * 1.5);
  const [width, height] = [Math.round(long * scale), Math.round(high * scale)];
  useEffect(() => {
    const paint = canvas.current?.getContext('2d');
    if (!paint) return;
    paint.globalCompositeOperation = 'source-over';
    paint.putImageData(painted(picture, width, height), 0, 0);
    // Only what lies inside the soil's outline stays.
    const { left: x0, right: x1, bottom: y0, top: y1 } = picture.bounds;
    const path = new Path2D();
    for (const [x, y] of picture.outline) {
      path.lineTo(((x - x0) / (x1 - x0)) * width, (1 - (y - y0) / (y1 - y0)) * height);
    }
    path.closePath();
    paint.globalCompositeOperation = 'destination-in';
    paint.fill(path);
    paint.globalCompositeOperation = 'source-over';
    paint.lineWidth = 3;
    paint.strokeStyle = '#1e2a22';
    paint.stroke(path);
  }, [picture, width, height]);
  return (
    <figure className="field-picture">
      <canvas ref={canvas} width={width} height={height} role="img" aria-label={label} />
      <Text as="figcaption" fontSize="sm" color="faint">
        {label}
      </Text>
    </figure>
  );
}

function painted(picture: FieldPicture, width: number, height: number): ImageData {
  const image = new ImageData(width, height);
  const classes = new Uint8Array(width * height);
  const NAMES = { wet: 1, easy: 2, dry: 3 } as const;
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const s = between(picture, (x + 0.5) / width, 1 - (y + 0.5) / height);
      const at = y * width + x;
      classes[at] = NAMES[moistureAt(-s)];
      image.data.set([...inkOf(s), 255], at * 4);
    }
  }
  for (let y = 0; y < height - 1; y += 1) {
    for (let x = 0; x < width - 1; x += 1) {
      const at = y * width + x;
      const here = classes[at]!;
      const meets = [classes[at + 1]!, classes[at + width]!].some((c) => c !== 0 && c !== here);
      if (here !== 0 && meets) image.data.set([40, 34, 24, 255], at * 4);
    }
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
