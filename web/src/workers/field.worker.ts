import {
  assemble,
  carries,
  moistureField,
  picturesOf,
  readField,
  type Carry,
  type FieldPictures,
  type FieldQuestion,
} from '@huerta/core';
import { expose } from 'comlink';
import type { FieldAsked } from './field';

/** Works the moisture in the soil out, away from the screen. */
const work = {
  pictures({ design, share, day }: FieldAsked): FieldPictures {
    const planter = assemble(design);
    const field = moistureField(planter, question({ design, share, day }));
    return picturesOf(planter, field, readField(planter, field));
  },
  carries: (asked: FieldAsked): Carry[] => carries(asked.design, question(asked)),
};
export type FieldWork = typeof work;

function question({ design, share, day }: FieldAsked): FieldQuestion {
  const { brim } = assemble(design).heights;
  const { etHot, etMild } = design.place;
  return { level: share * brim, et: day === 'hot' ? etHot : etMild };
}

expose(work);
