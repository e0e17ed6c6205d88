import 'fake-indexeddb/auto';
import { PLANTERS, type PlanterResource } from '@huerta/contract';
import { STARTING_POINTS } from '@huerta/core/document';
import { callRoute } from './client';
import { RefusedError, LaterError } from '../offline/refusalErrors';

const answer = (status: number, body: unknown) =>
  Promise.resolve({
    ok: status < 400,
    status,
    json: () => (body === undefined ? Promise.reject(new Error('no JSON')) : Promise.resolve(body)),
  } as Response);

const fetched = jest.fn<Promise<Response>, [string, RequestInit?]>();
beforeEach(() => {
  fetched.mockReset();
  globalThis.fetch = fetched as typeof fetch;
});

const id = '3f0e6c3a-9a4e-4d8c-8f1e-0a6a3a1b2c3d';
const planter: PlanterResource = {
  id,
  revision: 1,
  createdAt: '2026-05-01T08:00:00.000Z',
  updatedAt: '2026-05-01T08:00:00.000Z',
  design: STARTING_POINTS[0]!.design,
};

test('an answer is checked against the schema of its route', async () => {
  fetched.mockReturnValueOnce(answer(200, { ...planter, revision: 'one' }));
  await expect(callRoute(PLANTERS.get, { id })).rejects.toThrow('cannot be read here');
  fetched.mockReturnValueOnce(answer(200, planter));
  await expect(callRoute(PLANTERS.get, { id })).resolves.toEqual(planter);
  // What was seen before serves where the answer is no good.
  fetched.mockReturnValueOnce(answer(200, { ...planter, revision: 'one' }));
  await expect(callRoute(PLANTERS.get, { id })).resolves.toEqual(planter);
});

test('a body goes out as JSON, and the request may outlive the page', async () => {
  fetched.mockReturnValueOnce(answer(200, planter));
  await callRoute(PLANTERS.save, { id, body: { a: 1 }, keepalive: true });
  expect(fetched).toHaveBeenCalledWith(`/api/planters/${id}`, {
    method: 'PUT',
    keepalive: true,
    headers: { 'content-type': 'application/json' },
    body: '{"a":1}',
  });
});

test('while the server is away what was last seen is answered, a save’s answer too', async () => {
  const away = () => Promise.reject(new TypeError('Failed to fetch'));
  fetched.mockReturnValueOnce(answer(200, planter));
  await callRoute(PLANTERS.get, { id });
  fetched.mockImplementation(away);
  await expect(callRoute(PLANTERS.get, { id })).resolves.toEqual(planter);
  const next = { ...planter, revision: 2 };
  fetched.mockReturnValueOnce(answer(200, next));
  await callRoute(PLANTERS.save, { id, body: {} });
  await expect(callRoute(PLANTERS.get, { id })).resolves.toEqual(next);
  // What was never seen cannot be told, and a change is never taken for done.
  await expect(callRoute(PLANTERS.list)).rejects.toThrow(LaterError);
  await expect(callRoute(PLANTERS.save, { id, body: {} })).rejects.toThrow(LaterError);
});

test('a refusal carries its reasons', async () => {
  const problem = {
    type: 'urn:huerta:problem:not-found',
    kind: 'not-found',
    title: 'Not there',
    status: 404,
    detail: 'This planter is not in the garden.',
  };
  fetched.mockReturnValueOnce(answer(404, problem));
  const error = await callRoute(PLANTERS.get, { id: 'x' }).catch((refused: unknown) => refused);
  expect(error).toBeInstanceOf(RefusedError);
  expect(error).toMatchObject({
    message: problem.detail,
    refusal: { kind: 'for-good', status: 404 },
  });
});

test.each([
  ['no server at all', () => Promise.reject(new TypeError('Failed to fetch'))],
  ['an answer that is no problem of ours', () => answer(502, undefined)],
])('%s is told as unreachable, with what is safe', async (_name, reply) => {
  fetched.mockImplementationOnce(reply);
  const error = await callRoute(PLANTERS.remove, { id: 'x' }).catch((e: unknown) => e);
  expect(error).toBeInstanceOf(LaterError);
  expect((error as Error).message).toContain('kept on this device');
});
