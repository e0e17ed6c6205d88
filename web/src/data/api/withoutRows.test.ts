import fc from 'fast-check';
import { z } from 'zod';
import { withoutRows } from './withoutRows';

const schema = z.object({
  by: z.string(),
  entries: z.array(z.object({ id: z.uuid(), at: z.iso.datetime(), of: z.array(z.number()) })),
});
const good = {
  id: '3f0e6c3a-9a4e-4d8c-8f1e-0a6a3a1b2c3d',
  at: '2026-05-01T08:00:00.000Z',
  of: [1],
};
const bad = fc.constantFrom(
  null,
  'x',
  { ...good, id: '3' },
  { ...good, at: 'soon' },
  { ...good, of: [1, 'two'] },
);

test('whatever rows are damaged, the others are read', () => {
  fc.assert(
    fc.property(fc.array(fc.oneof(fc.constant(good), bad), { maxLength: 20 }), (entries) => {
      const parsed = schema.safeParse({ by: 'x', entries });
      const { rest, left } = withoutRows({ by: 'x', entries }, parsed.error?.issues ?? []);
      const whole = entries.filter((one) => one === good);
      expect(schema.parse(rest).entries).toEqual(whole);
      expect(left).toBe(entries.length - whole.length);
    }),
  );
});

test('what is wrong beside the rows stays wrong', () => {
  const answer = { by: 7, entries: [good] };
  const { rest, left } = withoutRows(answer, schema.safeParse(answer).error!.issues);
  expect(left).toBe(0);
  expect(schema.safeParse(rest).success).toBe(false);
  expect(withoutRows('no', [])).toEqual({ rest: 'no', left: 0 });
});
