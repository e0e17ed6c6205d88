import { boxesOf } from '../../../assembly';
import { rectangles } from '../../above';
import type { FromAbove, InSection, PartDrawing } from '../../partDrawing';
import { line, type Shape } from '../../shape';

const section: InSection<'crates'> = (part) => {
  const { id, height: top } = part;
  const boxes = boxesOf(part);
  const cut = boxes.filter((one) => Math.abs(one.y) < one.b + 1e-9);
  const seen = cut.length > 0 ? cut : boxes;
  const unique = [...new Map(seen.map((one) => [one.x.toFixed(3), one])).values()];
  return unique.flatMap(({ x, a }, i): Shape[] => {
    const bars = Math.max(Math.round((2 * a) / 0.06), 2);
    const rows = Math.max(Math.round(top / 0.05), 2);
    return [
      line(`${id}-${i}`, 'crate', [
        [x - a, 0],
        [x + a, 0],
        [x + a, top],
        [x - a, top],
        [x - a, 0],
      ]),
      ...Array.from({ length: bars - 1 }, (_, k) => {
        const at = x - a + ((k + 1) * 2 * a) / bars;
        return line(`${id}-${i}-bar-${k}`, 'vent', [
          [at, 0],
          [at, top],
        ]);
      }),
      ...Array.from({ length: rows - 1 }, (_, k) => {
        const at = ((k + 1) * top) / rows;
        return line(`${id}-${i}-row-${k}`, 'vent', [
          [x - a, at],
          [x + a, at],
        ]);
      }),
    ];
  });
};

const plan: FromAbove<'crates'> = (group) => rectangles(group, 'water');

export const crates: PartDrawing<'crates'> = { phase: 'base', section, plan };
