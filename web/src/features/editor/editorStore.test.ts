import { applyPatch, STARTING_POINTS } from '@huerta/core/document';
import { tell } from '@huerta/core/units';
import { createEditorStore } from './editorStore';

const design = STARTING_POINTS[0]!.design;
const centre = (value: number) => [{ path: ['overflow', 'centre'], value }];
const open = () => {
  const store = createEditorStore(design);
  return { store, history: () => store.temporal.getState(), now: () => store.getState().design };
};

test('every change is a step, taken back in order and made again', () => {
  const { store, history, now } = open();
  store.change(centre(0.08));
  store.change(centre(0.07));
  history().undo();
  expect(now().overflow).toMatchObject({ centre: 0.08 });
  history().undo();
  expect(now()).toBe(design);
  history().redo();
  history().redo();
  expect(now().overflow).toMatchObject({ centre: 0.07 });
});

test('a contradiction changes nothing and says why', () => {
  const { store, history, now } = open();
  const refused = store.change([{ path: ['reservoir', 'top'], value: 0.36 }]);
  expect(refused && tell(refused.message, 'metric')).toContain('no room for soil');
  expect(now()).toBe(design);
  expect(history().pastStates).toHaveLength(0);
});

test('a drag is one step however far it went', () => {
  const { store, history, now } = open();
  store.hold();
  for (let z = 0.085; z > 0.05; z -= 0.001) store.slide(centre(z));
  expect(store.isHeld()).toBe(true);
  store.release();
  expect(store.isHeld()).toBe(false);
  expect(history().pastStates).toHaveLength(1);
  history().undo();
  expect(now()).toBe(design);
});

test('whoever keeps what is done is told of a drag once, when it is let go of', () => {
  const { store, now } = open();
  const kept: unknown[] = [];
  let known = now();
  store.subscribe((state) => {
    if (store.isHeld() || state.design === known) return;
    known = state.design;
    kept.push(known);
  });
  store.hold();
  for (let z = 0.085; z > 0.05; z -= 0.005) store.slide(centre(z));
  expect(kept).toEqual([]);
  store.release();
  expect(kept).toEqual([now()]);
  expect(now()).not.toBe(design);
});

test('letting go without moving is no step, and steps count again afterwards', () => {
  const { store, history } = open();
  store.hold();
  store.release();
  expect(history().pastStates).toHaveLength(0);
  store.change(centre(0.07));
  expect(history().pastStates).toHaveLength(1);
});

test('a slide starts from where the line was taken hold of, not from the last slide', () => {
  const { store, now } = open();
  store.hold();
  store.slide([{ path: ['soil', 'freeboard'], value: 0.05 }]);
  store.slide(centre(0.07));
  store.release();
  expect(now().soil.freeboard).toBe(design.soil.freeboard);
});

test('a design is worked out once', () => {
  const { store } = open();
  const first = store.evaluation();
  expect(store.evaluation()).toBe(first);
  store.change(centre(0.07));
  expect(store.evaluation()).not.toBe(first);
  expect(store.assessment().figures.gross).toBeLessThan(first.assessment.figures.gross);
});

test('a design that a stricter rule forbids opens, says so, and can be mended step by step', () => {
  const old = applyPatch(design, [
    { path: ['reservoir', 'top'], value: 0.5 },
    { path: ['overflow', 'centre'], value: 0.9 },
  ]);
  const store = createEditorStore(old);
  const first = store.impossible().length;
  expect(first).toBeGreaterThan(0);
  // Something else can be changed meanwhile, and the one mended.
  expect(store.change([{ path: ['notes'], value: 'from last year' }])).toBeNull();
  expect(store.change([{ path: ['reservoir', 'top'], value: 0.1 }])).toBeNull();
  expect(store.change([{ path: ['overflow', 'centre'], value: 0.08 }])).toBeNull();
  expect(store.impossible()).toEqual([]);
  // From then on it is refused as everywhere.
  expect(store.change([{ path: ['reservoir', 'top'], value: 0.5 }])).not.toBeNull();
});

test('what its line gives it is judged at once, is no step, and stays when steps are taken back', () => {
  const { store, history } = open();
  const alone = store.assessment().figures;
  store.change(centre(0.08));
  store.setShare({ level: 0.05, volume: 0.03 });
  expect(history().pastStates).toHaveLength(1);
  const joined = store.evaluation();
  expect(joined.planter.heights.brim).toBe(0.05);
  expect(joined.assessment.figures.lastsHot.days).toBeGreaterThan(alone.lastsHot.days);
  // What it may weigh is as alone: rain may fill it to its own lip.
  store.setShare(null);
  const { weight } = store.assessment().figures;
  store.setShare({ level: 0.05, volume: 0.03 });
  expect(joined.assessment.figures.weight).toEqual(weight);
  history().undo();
  expect(store.evaluation().planter.share).toEqual({ level: 0.05, volume: 0.03 });
  store.setShare(null);
  expect(store.assessment().figures).toEqual(alone);
});

describe('measures that hang on each other', () => {
  const cups = STARTING_POINTS.find(({ id }) => id === 'cup-pail')!.design;
  /** A small cup in place of a large one: each of its measures alone leaves one that cannot be. */
  const small = { diameter: 0.06, bottom: 0.05, rim: 0.075 };
  const orders = [
    ['diameter', 'bottom', 'rim'],
    ['rim', 'bottom', 'diameter'],
    ['bottom', 'rim', 'diameter'],
    ['diameter', 'rim', 'bottom'],
  ] as const;
  const opened = () => {
    const store = createEditorStore(cups);
    const wick = () => store.getState().design.wicks[0];
    return { store, wick };
  };

  test.each(orders)('are taken together in the order %s, %s, %s', (...order) => {
    const { store, wick } = opened();
    for (const name of order) store.enter({ path: ['wicks', 0, name], value: small[name] });
    expect(wick()).toMatchObject(small);
    // Nothing waits any more: the old ones come back one by one, and stay.
    const steps = store.temporal.getState().pastStates.length;
    expect(steps).toBeGreaterThan(0);
    expect(steps).toBeLessThanOrEqual(order.length);
  });

  test('what was refused waits, is taken with what makes it possible, in one step, and is not once it is given up', () => {
    const { store, wick } = opened();
    const { diameter } = wick() as { diameter: number };
    const wide = { path: ['wicks', 0, 'bottom'], value: diameter + 0.005 };
    expect(store.enter(wide)).not.toBeNull();
    expect(wick()).toMatchObject({ diameter });
    const before = store.temporal.getState().pastStates.length;
    expect(store.enter({ path: ['wicks', 0, 'diameter'], value: diameter + 0.01 })).toBeNull();
    expect(wick()).toMatchObject({ diameter: diameter + 0.01, bottom: diameter + 0.005 });
    expect(store.temporal.getState().pastStates.length).toBe(before + 1);

    const again = opened();
    again.store.enter(wide);
    again.store.forget(wide.path);
    again.store.enter({ path: ['wicks', 0, 'diameter'], value: diameter + 0.01 });
    expect(again.wick()).toEqual({ ...cups.wicks[0], diameter: diameter + 0.01 });

    // What it was typed into may be taken back meanwhile.
    const gone = opened();
    gone.store.change([{ path: ['wicks'], value: [...cups.wicks, cups.wicks[0]] }]);
    gone.store.enter({ path: ['wicks', 1, 'bottom'], value: diameter + 0.005 });
    gone.store.temporal.getState().undo();
    expect(gone.store.enter({ path: ['soil', 'freeboard'], value: 0.03 })).toBeNull();
    expect(gone.store.getState().design.wicks).toEqual(cups.wicks);

    // A part that is replaced has none of what was typed into the one before it.
    const replaced = opened();
    replaced.store.enter(wide);
    replaced.store.change([{ path: ['wicks', 0], value: { ...cups.wicks[0], foot: 0.004 } }]);
    replaced.store.enter({ path: ['wicks', 0, 'diameter'], value: diameter + 0.01 });
    expect(replaced.wick()).toMatchObject({ bottom: (cups.wicks[0] as { bottom: number }).bottom });
  });
});
