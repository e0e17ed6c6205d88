import { STANDING } from '@huerta/core/catalog';
import { Choice, Pair } from '../../panels/parts';
import { capital, type FieldsOf } from '../supportFields';

export const standing: FieldsOf<'standing'> = (design, { at, count, diameter }) => (
  <>
    <Choice label="What stands there" value={design.what} choices={STANDING} path={at('what')} />
    <Pair>
      {diameter(`${capital(STANDING[design.what].one)}, across`, design.diameter)}
      {count('How many')}
    </Pair>
  </>
);
