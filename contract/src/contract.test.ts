import { STARTING_POINTS } from '@huerta/core/document';
import { createPlanterSchema, planterResourceSchema, problemSchema, savePlanterSchema } from '.';

const design = STARTING_POINTS[0]!.design;
const resource = {
  id: '3f0e6c3a-9a4e-4d8c-8f1e-0a6a3a1b2c3d',
  revision: 3,
  createdAt: '2026-05-01T08:00:00.000Z',
  updatedAt: '2026-05-02T08:00:00.000Z',
  design,
};

test('a planter travels as it is', () => {
  expect(planterResourceSchema.parse(resource)).toEqual(resource);
  expect(planterResourceSchema.safeParse({ ...resource, id: '7' }).success).toBe(false);
  expect(planterResourceSchema.safeParse({ ...resource, revision: 0 }).success).toBe(false);
});

test('bodies hold what they must and nothing else', () => {
  expect(createPlanterSchema.safeParse({ design }).success).toBe(true);
  expect(createPlanterSchema.safeParse({ design, revision: 1 }).success).toBe(false);
  expect(savePlanterSchema.safeParse({ design }).success).toBe(false);
  expect(savePlanterSchema.safeParse({ design, revision: 1.5 }).success).toBe(false);
});

test('a conflict carries the other version', () => {
  const problem = {
    type: 'urn:huerta:problem:conflict',
    kind: 'conflict',
    title: 'Changed elsewhere',
    status: 409,
    detail: 'Both versions are safe.',
    current: resource,
  };
  expect(problemSchema.parse(problem)).toEqual(problem);
  expect(problemSchema.safeParse({ ...problem, kind: 'mystery' }).success).toBe(false);
});
