/** @jest-environment jsdom */
import { act, screen, within } from '@testing-library/react';
import { inInches } from '@huerta/core/document';
import { designOf, openPart } from '../../../testing/editor';
import { BaseGroup } from './BaseGroup';
import { LayersGroup } from './LayersGroup';
import { OverflowGroup } from './OverflowGroup';
import { SupplyGroup } from './SupplyGroup';

const type = async (
  user: ReturnType<typeof openPart>['user'],
  field: HTMLElement,
  text: string,
) => {
  await user.clear(field);
  await user.type(field, `${text}{Enter}`);
};

describe('the base', () => {
  test('another one keeps its height and says how many of its parts fit', async () => {
    const { now, user } = openPart(designOf('tote-pipes'), <BaseGroup />);
    await user.selectOptions(screen.getByLabelText('Soil is kept up by'), 'lying');
    expect(now().reservoir).toMatchObject({ top: 0.09, cover: 'none', parts: [{ kind: 'lying' }] });
    expect(await screen.findByText(/Room for \d+/)).toBeTruthy();
  });

  test('what is changed with it is said until the next change, and what grows in it stays', async () => {
    const { now, user, store } = openPart(designOf('box-legs'), <BaseGroup />);
    await user.selectOptions(screen.getByLabelText('Soil is kept up by'), 'tubs');
    expect(screen.getByText(/^Changed with it: Add four legs/)).toBeTruthy();
    expect(now().wicks).toHaveLength(1);
    expect(now().planting).toEqual(designOf('box-legs').planting);
    await act(async () => store.temporal.getState().undo());
    expect(now()).toEqual(designOf('box-legs'));
    expect(screen.queryByText(/Changed with it/)).toBeNull();
  });

  test('what is added to it is of a size that is sold where one measures so', async () => {
    const { now, user } = openPart(inInches(designOf('trough-pipes')), <BaseGroup />);
    await user.click(screen.getByRole('button', { name: 'short pipes' }));
    expect(now().reservoir.parts.at(-1)).toMatchObject({ what: 'pipe', diameter: 1.9 * 0.0254 });
  });

  test('a base that cannot stand there is not taken, and why is said', async () => {
    const { now, user } = openPart(designOf('lying-barrel'), <BaseGroup />);
    await user.selectOptions(screen.getByLabelText('Soil is kept up by'), 'tubs');
    expect(screen.getByText(/Not taken: The floor is curved/)).toBeTruthy();
    expect(now()).toEqual(designOf('lying-barrel'));
  });

  test('parts are added to a mixture and left out again, without losing the others', async () => {
    const { now, user } = openPart(designOf('trough-pipes'), <BaseGroup />);
    await user.click(screen.getByRole('button', { name: 'bottles' }));
    expect(now().reservoir.parts.map(({ kind }) => kind)).toEqual(['lying', 'standing']);
    expect(screen.getByLabelText<HTMLSelectElement>('Soil is kept up by').value).toBe('own');
    const bottles = screen.getByRole('group', { name: 'bottles' });
    await user.click(within(bottles).getByRole('button', { name: 'Leave out' }));
    expect(now()).toEqual(designOf('trough-pipes'));
  });

  test('holes for rain are one’s own, as many as find room, or spread by Huerta again', async () => {
    const { now, user } = openPart(designOf('cloth-pail'), <BaseGroup />);
    const whose = screen.getByLabelText('Holes for rain');
    const usual = now().reservoir;
    await user.selectOptions(whose, 'My own');
    await type(user, screen.getByLabelText('How many'), '5');
    await type(user, screen.getByLabelText('Each hole, across'), '25 mm');
    expect(now().reservoir.drains).toEqual({ count: 5, diameter: 0.025 });
    expect(screen.queryByText(/find.*room beside/)).toBeNull();
    await type(user, screen.getByLabelText('How many'), '300');
    expect(screen.getByText(/^Only \d+ of them find room beside the other holes/)).toBeTruthy();
    await user.selectOptions(whose, 'Small ones, all over');
    expect(JSON.parse(JSON.stringify(now().reservoir))).toEqual(usual);
  });

  test('layers lie on one another, and a layer that cannot be is refused at its field', async () => {
    const { now, user } = openPart(designOf('rock-bed'), <BaseGroup />);
    const [, upper] = screen.getAllByLabelText<HTMLInputElement>('Reaches up to');
    await type(user, upper!, '40');
    expect(screen.getByText(/lies on one that reaches 80%/)).toBeTruthy();
    expect(upper!.value).toBe('40');
    await user.selectOptions(screen.getByLabelText(/layer 1/), 'gravel');
    expect(now().reservoir.fill[0]).toMatchObject({ medium: 'gravel', upTo: 0.8 });
  });

  test('layers are laid, changed, put in another order and taken up', async () => {
    const { now, user } = openPart(designOf('tank-crates'), <LayersGroup />);
    const whats = () => now().layers.map(({ what }) => what);
    expect(whats()).toEqual(['fabric', 'coarse-sand', 'straw']);
    await user.selectOptions(screen.getByLabelText('Layer 2, from below'), 'pea-gravel');
    expect(now().layers[1]).toEqual({ what: 'pea-gravel', thickness: 0.03, up: false });
    await user.click(screen.getByRole('button', { name: 'Move layer 1 up' }));
    expect(whats()).toEqual(['pea-gravel', 'fabric', 'straw']);
    await user.selectOptions(screen.getByLabelText('Layer 3, from below'), 'none');
    expect(whats()).toEqual(['pea-gravel', 'fabric']);
    await user.click(screen.getByRole('button', { name: 'Another layer on it' }));
    expect(whats()).toEqual(['pea-gravel', 'fabric', 'straw']);
  });

  test('bags in a tray need none', () => {
    openPart(designOf('bag-tray'), <BaseGroup />);
    expect(screen.getByText(/nothing else is needed/)).toBeTruthy();
  });
});

describe('the overflow', () => {
  test.each([
    ['fitting', /Bore of the fitting/],
    ['rows', /Rows of holes/],
  ])('as a %s keeps its lip', async (kind, field) => {
    const { now, user, store } = openPart(designOf('tote-pipes'), <OverflowGroup />);
    const lip = store.evaluation().planter.heights.invert!;
    await user.selectOptions(screen.getByLabelText('Water runs out by'), kind);
    expect(now().overflow?.kind).toBe(kind);
    expect(store.evaluation().planter.heights.invert).toBeCloseTo(lip, 9);
    expect(screen.getByLabelText(field)).toBeTruthy();
  });

  test('over the rim it has no mark, and says at what height it runs', async () => {
    const { user } = openPart(designOf('tote-pipes'), <OverflowGroup />);
    await user.selectOptions(screen.getByLabelText('Water runs out by'), 'rim');
    expect(screen.getByText(/runs over at 340.mm, all round/)).toBeTruthy();
    expect(screen.queryByLabelText(/Centre/)).toBeNull();
  });

  test('says what a hose does to it, also when that is too much', async () => {
    const { user, now } = openPart(designOf('cloth-pail'), <OverflowGroup />);
    expect(screen.getByText(/more than it carries: the water rises until/)).toBeTruthy();
    await type(user, screen.getByLabelText('Hole diameter'), '30');
    await type(user, screen.getByLabelText('Centre of the hole'), '90');
    expect(screen.getByText(/A hose of 10.L\/min makes the water climb \d+/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Plan without an overflow' }));
    expect(now().overflow).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Mark an overflow' }));
    expect(now().overflow).toMatchObject({ kind: 'hole', screened: true });
  });
});

test('a barrel behind a valve is joined and taken away', async () => {
  const { now, user } = openPart(designOf('trough-pipes'), <SupplyGroup />);
  await user.click(screen.getByRole('button', { name: /Feed it from a barrel/ }));
  expect(now().reservoir.supply).toMatchObject({ volume: 0.1 });
  await type(user, screen.getByLabelText('Valve keeps the water at'), '9 m');
  expect(screen.getByText(/can be from/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Fill it by hand' }));
  expect(now().reservoir.supply).toBeNull();
});
