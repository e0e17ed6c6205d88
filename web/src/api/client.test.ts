import { z } from 'zod';
import { call, RefusedError, tellServer, UnreachableError } from './client';

const answer = (status: number, body: unknown) =>
  Promise.resolve({
    ok: status < 400,
    status,
    json: () => (body === undefined ? Promise.reject(new Error('no JSON')) : Promise.resolve(body)),
  } as Response);

const schema = z.object({ ok: z.boolean() });
const fetched = jest.fn<Promise<Response>, [string, RequestInit?]>();
beforeEach(() => {
  fetched.mockReset();
  globalThis.fetch = fetched as typeof fetch;
});

test('answers are checked against what was promised', async () => {
  fetched.mockReturnValueOnce(answer(200, { ok: true }));
  await expect(call('/health', schema)).resolves.toEqual({ ok: true });
  fetched.mockReturnValueOnce(answer(200, { ok: 'yes' }));
  await expect(call('/health', schema)).rejects.toThrow(z.ZodError);
});

test('bodies go as JSON', async () => {
  fetched.mockReturnValueOnce(answer(200, { ok: true }));
  await call('/planters', schema, { method: 'POST', body: { a: 1 }, keepalive: true });
  expect(fetched).toHaveBeenCalledWith('/api/planters', {
    method: 'POST',
    keepalive: true,
    headers: { 'content-type': 'application/json' },
    body: '{"a":1}',
  });
});

test('a refusal carries the server’s reasons', async () => {
  const problem = {
    type: 'urn:huerta:problem:not-found',
    kind: 'not-found',
    title: 'Not there',
    status: 404,
    detail: 'This planter is not in the garden.',
  };
  fetched.mockReturnValueOnce(answer(404, problem));
  const error = await call('/planters/x', schema).catch((refused: unknown) => refused);
  expect(error).toBeInstanceOf(RefusedError);
  expect(error).toMatchObject({ message: problem.detail, problem: { status: 404 } });
});

test.each([
  ['no server at all', () => Promise.reject(new TypeError('Failed to fetch'))],
  ['an answer that is no problem of ours', () => answer(502, undefined)],
])('%s is told as unreachable, with what is safe', async (_name, reply) => {
  fetched.mockImplementationOnce(reply);
  const error = await tellServer('/planters/x', { method: 'DELETE' }).catch((e: unknown) => e);
  expect(error).toBeInstanceOf(UnreachableError);
  expect((error as Error).message).toContain('What was saved is safe');
});
