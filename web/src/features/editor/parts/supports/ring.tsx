import { Pair, Tick } from '../../panels/parts';
import type { FieldsOf } from '../supportFields';

export const ring: FieldsOf<'ring'> = (design, { at, diameter, wall }) => (
  <>
    <Pair>
      {diameter('Ring, across outside', design.diameter)}
      {wall(design.wall)}
    </Pair>
    <Tick label="It is the vessel’s own cut end" checked={design.cutEnd} path={at('cutEnd')} />
  </>
);
