import fc from 'fast-check';
import { edgesFor, planGoes, planHeight, planWidth } from './arrange';

const size = (least: number, most: number) =>
  fc.record({
    width: fc.double({ min: least, max: most, noNaN: true }),
    height: fc.double({ min: least, max: most, noNaN: true }),
  });
const units = fc.constantFrom('metric' as const, 'us' as const);
const drawn = size(0.1, 3);

test('a long trough has its plan under it, a tall barrel beside it', () => {
  const board = { width: 984, height: 700 };
  expect(planGoes({ width: 2, height: 0.3 }, board, 'us')).toBe('under');
  expect(planGoes({ width: 0.6, height: 1 }, board, 'us')).toBe('beside');
});

test('whole names stand where they cost the drawing nothing, short ones where the frame is narrow', () => {
  expect(edgesFor({ width: 0.2, height: 1 }, { width: 900, height: 600 }, 'us').compact).toBe(
    false,
  );
  expect(edgesFor({ width: 2, height: 0.3 }, { width: 700, height: 600 }, 'us').compact).toBe(true);
  expect(edgesFor({ width: 0.2, height: 1 }, { width: 390, height: 600 }, 'us').compact).toBe(true);
});

test('no other place for the plan would leave the section larger', () => {
  fc.assert(
    fc.property(drawn, size(560, 1400), units, (section, board, system) => {
      const scale = (frame: typeof board) => {
        const { margin } = edgesFor(section, frame, system);
        return Math.min(
          (frame.width - margin.left - margin.right) / section.width,
          (frame.height - margin.top - margin.bottom) / section.height,
        );
      };
      const beside = scale({ ...board, width: board.width - planWidth(board) });
      const under = scale({ ...board, height: board.height - planHeight(board) });
      const chosen = planGoes(section, board, system) === 'beside' ? beside : under;
      expect(chosen).toBe(Math.max(beside, under));
    }),
  );
});
