import { PIPES } from '../catalog';
import type { Planter } from '../planter';
import { q, say, type Message } from '../quantity';
import { lengthOf } from '../reservoir';
import type { Piece } from './cuts';

/** Pieces that come out of one kind of stock. */
export interface StockCuts {
  id: string;
  /** What is bought by the length. */
  stock: Message;
  pieces: Piece[];
}

/** Everything of a planter that is cut from lengths: tubes, supports, lying pipes, boards. */
export function piecesOf({ design, layout, vessel }: Planter): StockCuts[] {
  const list = new Map<string, StockCuts>();
  const add = (id: string, stock: Message, piece: Piece) => {
    const known = list.get(id) ?? { id, stock, pieces: [] };
    known.pieces.push(piece);
    list.set(id, known);
  };
  const { fillTube, pipes } = design;
  if (fillTube) {
    const { name } = PIPES[fillTube.pipe];
    add(fillTube.pipe, say`${name}`, { label: 'Fill tube', length: fillTube.length, count: 1 });
    if (fillTube.run > 0) {
      add(fillTube.pipe, say`${name}`, {
        label: 'Run on the floor',
        length: fillTube.run,
        count: 1,
      });
    }
  }
  layout.parts.forEach((part) => {
    const what = part.design;
    if (what.kind === 'standing' && what.what === 'pipe' && part.placed > 0) {
      add(`pipe-${what.diameter}`, say`Pipe of ${q(what.diameter, 'length')}`, {
        label: 'Support',
        length: part.height,
        count: part.placed,
      });
    }
    if (what.kind === 'ring' && !what.cutEnd && part.placed > 0) {
      add(`pipe-${what.diameter}`, say`Pipe of ${q(what.diameter, 'length')}`, {
        label: 'Ring',
        length: part.height,
        count: 1,
      });
    }
    if (what.kind === 'lying') {
      part.runs.forEach((run, i) =>
        add(`lying-${what.diameter}`, say`Perforated pipe of ${q(what.diameter, 'length')}`, {
          label: run.kind === 'straight' ? `Run ${i + 1}` : `Turn ${i + 1}`,
          length: lengthOf(run),
          count: 1,
        }),
      );
    }
  });
  pipes.forEach((pipe) =>
    add(`pipe-${pipe.diameter}`, say`Pipe of ${q(pipe.diameter, 'length')}`, {
      label: pipe.use === 'worm' ? 'Worm tube' : 'Inspection pipe',
      length: vessel.depth,
      count: 1,
    }),
  );
  if (design.vessel.kind === 'frame') {
    const { length, width, wall } = design.vessel;
    const boards = say`Boards of ${q(wall, 'length')}`;
    add('boards', boards, { label: 'Long side', length: length + 2 * wall, count: 2 });
    add('boards', boards, { label: 'Short side', length: width, count: 2 });
  }
  return [...list.values()];
}
