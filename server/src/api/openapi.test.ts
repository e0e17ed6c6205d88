import { z } from 'zod';
import { openApi } from './openapi';

const schema = z.looseObject({});
const operation = z.object({
  operationId: z.string(),
  summary: z.string().endsWith('.'),
  parameters: z.array(z.object({ name: z.string(), in: z.enum(['path', 'query']), schema })),
  requestBody: z.looseObject({ content: z.record(z.string(), z.looseObject({})) }).optional(),
  responses: z.record(z.string(), z.looseObject({ description: z.string().min(1) })),
});
const described = z.object({
  openapi: z.literal('3.1.0'),
  info: schema,
  paths: z.record(z.string(), z.record(z.string(), operation)),
  components: z.object({ schemas: z.record(z.string(), schema) }),
});

const api = described.parse(JSON.parse(JSON.stringify(openApi('0.1.0'))));
const all = Object.entries(api.paths).flatMap(([path, methods]) =>
  Object.entries(methods).map(([method, one]) => ({ path, method, ...one })),
);

test('every operation has a name of its own, and a parameter for each place in its path', () => {
  expect(new Set(all.map(({ operationId }) => operationId)).size).toBe(all.length);
  for (const { path, parameters } of all) {
    const places = [...path.matchAll(/\{(\w+)\}/g)].map(([, name]) => name);
    expect(parameters.filter((one) => one.in === 'path').map(({ name }) => name)).toEqual(places);
  }
});

test('saves say what they are based on, and that they may clash', () => {
  // A door is opened, and a picture is sent as it is: neither is based on anything.
  const others = ['/api/door', '/api/photos/{id}'];
  const saves = all.filter(({ method, path }) => method === 'put' && !others.includes(path));
  expect(saves.length).toBeGreaterThanOrEqual(5);
  for (const { requestBody, responses } of saves) {
    const body = JSON.stringify(requestBody?.content['application/json']);
    expect(body).toContain('"revision"');
    expect(body).toContain('"saveId"');
    expect(responses['409']?.description).toContain('conflict');
  }
});

test('what is sent as a file says of which kind', () => {
  const body = api.paths['/api/photos/{id}']!.put!.requestBody;
  expect(body?.content).toHaveProperty(['image/*']);
});

test('a design is described down to its fields, and problems by one schema', () => {
  const put = api.paths['/api/planters/{id}']!.put!;
  expect(JSON.stringify(put.requestBody)).toMatch(/"freeboard":\{"type":"number","minimum":0/);
  expect(JSON.stringify(put.responses['404'])).toContain('#/components/schemas/Problem');
  expect(JSON.stringify(api.components.schemas.Problem)).toContain('"detail"');
});
