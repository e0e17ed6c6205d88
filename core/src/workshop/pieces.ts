import { FEET, PIPES } from '../catalog';
import {
  boardGood,
  drainPipe,
  FLOOR_BOARD,
  legGood,
  pipeGood,
  plainPipe,
  type Good,
} from './goods';
import type { Planter } from '../planter';
import { q, say, type Message } from '../quantity';
import { lengthOf, PIPE_PROUD } from '../reservoir';
import type { Piece } from './cuts';

/** Pieces of one length that a planter takes. */
export interface CutPiece extends Piece {
  /** Which part of the planter they belong to. */
  part: string;
  /** How the end is cut, where it is not square. */
  note: Message | null;
}

/** Pieces that come out of one kind of stock. */
export interface StockCuts {
  /** What is bought by the length. */
  good: Good;
  pieces: CutPiece[];
}

const SQUARE = null;
/** A notch in a tube's foot is about this high, metres. */
const NOTCH = 0.015;
/** Four legs, outside the corners. */
const LEGS = 4;

/** Everything of a planter that is cut from lengths: tubes, supports, lying pipes, boards, legs. */
export function piecesOf({ design, layout, heights }: Planter): StockCuts[] {
  const list = new Map<string, StockCuts>();
  const add = (
    good: Good,
    part: string,
    label: string,
    length: number,
    count = 1,
    note: Message | null = SQUARE,
  ) => {
    if (count <= 0 || length <= 0) return;
    const known = list.get(good.id) ?? { good, pieces: [] };
    const same = known.pieces.find(
      (piece) => piece.label === label && Math.abs(piece.length - length) < 1e-6,
    );
    if (same) same.count += count;
    else known.pieces.push({ label, length, count, part, note });
    list.set(good.id, known);
  };
  const { fillTube, pipes } = design;
  if (fillTube) {
    const good = pipeGood(fillTube.pipe);
    add(good, 'tube', 'Fill tube', fillTube.length, 1, footNote(fillTube));
    add(good, 'tube', 'Run on the floor', fillTube.run);
  }
  layout.parts.forEach((part, i) => {
    const what = part.design;
    const id = `part-${i}`;
    if (what.kind === 'standing' && what.what === 'pipe') {
      add(plainPipe(what.diameter), id, 'Support', part.height, part.placed);
    }
    if (what.kind === 'ring' && !what.cutEnd) {
      const split = say`split along one side, so that it breathes and can be opened to fit`;
      add(plainPipe(what.diameter), id, 'Ring', part.height, part.placed, split);
    }
    if (what.kind === 'lying') {
      const good = drainPipe(what.diameter, what.sock);
      part.runs.forEach((run, k) => {
        const turn = run.kind !== 'straight';
        const label = turn ? `Turn ${k + 1}` : `Run ${k + 1}`;
        const bent = turn ? say`laid round, its ends together` : SQUARE;
        add(good, id, label, lengthOf(run), 1, bent);
      });
    }
  });
  layout.pipes.forEach((pipe, i) => {
    const worm = pipes[i]?.use === 'worm';
    const long = heights.rim + PIPE_PROUD - pipe.foot;
    const label = worm ? 'Worm tube' : 'Inspection pipe';
    add(plainPipe(2 * pipe.r), `pipe-${i}`, label, long);
  });
  if (design.vessel.kind === 'frame') {
    const { length, width, wall, depth, legs } = design.vessel;
    const sides = boardGood(wall, depth);
    add(sides, 'boards', 'Long side', length + 2 * wall, 2);
    add(sides, 'boards', 'Short side', width, 2);
    if (legs > 0) {
      const across = Math.ceil((width + 2 * wall) / FLOOR_BOARD - 1e-9);
      add(boardGood(wall, FLOOR_BOARD), 'floor', 'Floor board', length + 2 * wall, across);
      add(legGood(), 'legs', 'Leg', legs + depth, LEGS, say`up the outside of each corner`);
    }
  }
  return [...list.values()];
}

function footNote({
  foot,
  length,
  pipe,
}: NonNullable<Planter['design']['fillTube']>): Message | null {
  const { outside } = PIPES[pipe];
  switch (foot) {
    case 'bevel':
      return say`foot cut at 45°: ${q(length, 'length')} on its long side, ${q(length - outside, 'length')} on its short side`;
    case 'notch':
      return say`two notches in its foot, ${q(NOTCH, 'length')} high`;
    case 'square':
      return say`cut square: ${FEET.bevel.name.toLowerCase()} or notched it cannot seal against the floor`;
  }
}
