import { applyPatch, STARTING_POINTS, type PlanterDesign } from '@huerta/core/document';
import { editorStoreFor } from './editorStores';

const first = STARTING_POINTS[0]!.design;
const named = (name: string, from: PlanterDesign = first) =>
  applyPatch(from, [{ path: ['name'], value: name }]);
const change = (name: string) => [{ path: ['name'], value: name }];
/** As it comes back from the server. */
const sent = (design: PlanterDesign) => JSON.parse(JSON.stringify(design)) as PlanterDesign;

test('what was done on a bench can be taken back after a visit elsewhere', () => {
  const store = editorStoreFor('a', first, undefined);
  store.change(change('Mint'));
  const again = editorStoreFor('a', sent(named('Mint')), undefined);
  again.temporal.getState().undo();
  expect(again.getState().design).toEqual(first);
  again.temporal.getState().redo();
  expect(again.getState().design.name).toBe('Mint');
});

test('what another device changed meanwhile begins anew', () => {
  const store = editorStoreFor('b', first, undefined);
  store.change(change('Mint'));
  const other = editorStoreFor('b', named('Sage'), undefined);
  expect(other.temporal.getState().pastStates).toEqual([]);
  expect(other.getState().design.name).toBe('Sage');
});

test('what was kept unsent is one step on from what the server has', () => {
  const store = editorStoreFor('c', first, named('Kept'));
  expect(store.getState().design.name).toBe('Kept');
  store.temporal.getState().undo();
  expect(store.getState().design).toEqual(first);
});

test('of many benches the latest are remembered', () => {
  const ids = Array.from({ length: 9 }, (_, i) => `many-${i}`);
  ids.forEach((id) => editorStoreFor(id, first, undefined).change(change(id)));
  const steps = (id: string) =>
    editorStoreFor(id, named(id), undefined).temporal.getState().pastStates.length;
  expect(steps('many-8')).toBe(1);
  expect(steps('many-0')).toBe(0);
});
