/** @jest-environment jsdom */
import { fireEvent, screen, within } from '@testing-library/react';
import { applyPatch, STARTING_POINTS } from '@huerta/core/document';
import { buildSheet } from '@huerta/core/fabrication';
import { evaluate, propose, tradeCurve } from '@huerta/core/assessment';
import { tell } from '@huerta/core/units';
import { answers, chooseCrop, designOf, openPart } from '../../../testing/editor';
import { show } from '../../../testing/render';
import { Practices } from '../Practices';
import { BedGroup } from './BedGroup';
import { CheckPanel } from './CheckPanel';
import { PlaceGroup } from './PlaceGroup';
import { SoilPanel } from './SoilPanel';
import { TradeCurve } from './TradeCurve';
import { TubePanel } from './TubePanel';
import { VesselPanel } from './VesselPanel';
import { WickPanel } from './WickPanel';

beforeEach(() => answers({ '/vessels': { vessels: [] } }));

describe('the vessel', () => {
  test('of another usual size keeps its tube as far above the rim', async () => {
    const { now, user } = openPart(designOf('cloth-pail'), <VesselPanel />);
    await user.selectOptions(screen.getByLabelText('Usual size, to start from'), 'pail-25');
    expect(now().vessel).toMatchObject({ kind: 'round', depth: 0.38 });
    expect(now().fillTube!.length).toBeCloseTo(0.468 + 0.012, 9);
  });

  test('that the base does not go into is not taken, and the old one stays', async () => {
    const { now, user } = openPart(designOf('trough-pipes'), <VesselPanel />);
    await user.selectOptions(screen.getByLabelText('Usual size, to start from'), 'pail-5');
    expect(screen.getByText(/^Not taken:/)).toBeTruthy();
    expect(now()).toEqual(designOf('trough-pipes'));
  });

  test('of another shape asks for that shape’s measures', async () => {
    const { now, user } = openPart(designOf('tote-pipes'), <VesselPanel />);
    await user.selectOptions(screen.getByLabelText('Shape'), 'stations');
    expect(now().vessel.kind).toBe('stations');
    await user.click(screen.getByRole('button', { name: 'One more size' }));
    const middle = screen.getByRole('group', { name: 'size 2' });
    const height = within(middle).getByLabelText('At height');
    await user.clear(height);
    await user.type(height, '900{Enter}');
    expect(screen.getByText(/Sizes go up from the floor/)).toBeTruthy();
    await user.click(within(middle).getByRole('button', { name: 'Leave out size 2' }));
    expect(screen.queryByRole('group', { name: 'size 3' })).toBeNull();
  });
});

describe('what holds the soil', () => {
  test('a bed that cannot be there is not taken, with the reason', async () => {
    const { now, user } = openPart(designOf('tote-pipes'), <BedGroup />);
    await user.selectOptions(screen.getByLabelText('Soil is in'), 'neck');
    expect(screen.getByRole('alert').textContent).toMatch(/Only a round bottle/);
    expect(now().bed).toBeNull();
    await user.selectOptions(screen.getByLabelText('Soil is in'), 'nested');
    expect(now().bed).toEqual({ kind: 'nested' });
  });

  test('a row of pails is counted against its channel', async () => {
    const { now, user } = openPart(designOf('gutter-pails'), <BedGroup />);
    const count = screen.getByLabelText('How many');
    await user.clear(count);
    await user.type(count, '8{Enter}');
    expect(screen.getByText(/There is room for 6/)).toBeTruthy();
    expect(now().bed).toMatchObject({ count: 5 });
  });
});

test('where it stands: thirst, slope and the load are said as they change', async () => {
  const { user } = openPart(designOf('box-legs'), <PlaceGroup />);
  expect(screen.getByText(/About 5.?% thirstier here than in the open/)).toBeTruthy();
  await user.selectOptions(screen.getByLabelText('On'), 'wall');
  expect(screen.getByText(/About 30.?% thirstier here/)).toBeTruthy();
  expect(screen.getByText(/on each leg/)).toBeTruthy();
  const slope = screen.getByLabelText('Out of level, side to side');
  await user.clear(slope);
  await user.type(slope, '5 mm/m{Enter}');
  expect(screen.getByText(/Tilted by 6.mm it holds/)).toBeTruthy();
  expect(screen.getByLabelText('It falls')).toBeTruthy();
});

describe('pipes', () => {
  test('the tube’s foot is on the lying pipe where there is one', () => {
    const lying = applyPatch(designOf('trough-pipes'), [
      { path: ['fillTube', 'joint'], value: 'tee' },
    ]);
    openPart(lying, <TubePanel />);
    expect(screen.getByText(/its foot on the lying pipe at 160.mm/)).toBeTruthy();
    expect(screen.queryByLabelText('Hole in the platform')).toBeNull();
  });

  test('a worm tube is added, uncapped, and left out', async () => {
    const { now, user } = openPart(designOf('tote-pipes'), <TubePanel />);
    await user.click(screen.getByRole('button', { name: 'Add a worm tube' }));
    expect(now().pipes).toMatchObject([{ use: 'worm', capped: true }]);
    await user.click(screen.getByLabelText('It has a cap'));
    expect(now().pipes[0]).toMatchObject({ capped: false });
    await user.click(screen.getByRole('button', { name: 'Leave it out' }));
    expect(now().pipes).toEqual([]);
  });
});

describe('wicks', () => {
  test('what fills the base is said to be one, with how far down it reaches', () => {
    openPart(designOf('rock-bed', [{ path: ['wicks'], value: [] }]), <WickPanel />);
    expect(screen.getByText(/Coarse sand fills the base and is a wick of its own/)).toBeTruthy();
    expect(screen.getByText(/reaches down to 158.mm/)).toBeTruthy();
    // Until roots are down, which is said with when that is.
    expect(
      screen.getByText(/Roots are down at the water about 2\d days after planting/),
    ).toBeTruthy();
    expect(screen.getAllByText('all').length).toBe(5);
  });

  test('columns are added in a size that goes in', async () => {
    const { now, user } = openPart(designOf('cloth-pail'), <WickPanel />);
    await user.click(screen.getByRole('button', { name: 'Add columns' }));
    expect(now().wicks[1]).toMatchObject({ kind: 'column', medium: 'coarse-sand' });
    await user.selectOptions(screen.getByLabelText('Filled with'), 'mix');
    expect(now().wicks[1]).toMatchObject({ medium: 'mix' });
  });
});

test('plants: how many the surface takes, what the crop likes, and where each stands', async () => {
  const { now, user } = openPart(designOf('tank-crates'), <SoilPanel />);
  expect(screen.getByText(/The surface takes \d+/)).toBeTruthy();
  await chooseCrop(user, 'What grows', 'Blueberry');
  expect(now().planting.crops[0]).toMatchObject({
    crop: 'blueberry',
    spacing: 0.6,
    foliage: 0.6,
  });
  expect(screen.getByText(/acid soil and no lime/)).toBeTruthy();
  expect(screen.getByRole('img', { name: /Where the plants stand/ })).toBeTruthy();
  expect(screen.getByText(/of coarse sand, about/)).toBeTruthy();
});

test('the check tells what it takes', () => {
  openPart(designOf('gutter-pails'), <CheckPanel />);
  expect(screen.getByRole('rowheader', { name: 'Supply barrel' })).toBeTruthy();
  const water = screen.getByRole('heading', { name: /Test with water/ }).parentElement!;
  expect(water.textContent).toMatch(/run from the overflow with the water at 72.mm/);
});

test.each(STARTING_POINTS.map(({ id, title }) => [title, id] as const))(
  '%s: the test with water is that of the build sheet, word for word',
  (_title, id) => {
    const design = designOf(id);
    const { planter, assessment } = evaluate(design);
    const { steps } = buildSheet(planter, assessment.figures, 'metric');
    const doing = steps.find((one) => one.id === 'test')?.doing ?? [];
    openPart(design, <CheckPanel />);
    const water = screen.getByRole('heading', { name: /Test with water/ }).parentElement!;
    const said = within(water).getAllByRole('listitem');
    expect(said.map(({ textContent }) => textContent)).toEqual(
      doing.map((one) => tell(one, 'metric')),
    );
  },
);

describe('where people differ', () => {
  test('each way is worked out on this design, taken, and then said to be followed', async () => {
    const { now, user } = openPart(
      designOf('cloth-pail', [{ path: ['place', 'daysAway'], value: 1 }]),
      <Practices room="wick" />,
    );
    await user.click(screen.getByRole('button', { name: 'Which wick?' }));
    expect(screen.getByText('This is how yours is.')).toBeTruthy();
    expect(screen.getAllByText(/to use/).length).toBe(4);
    const wool = screen.getByText('Wool felt').parentElement!;
    await user.click(within(wool).getByRole('button', { name: 'Do it so' }));
    expect(now().wicks[0]).toMatchObject({ material: 'wool-felt' });
    expect(within(wool).getByText('This is how yours is.')).toBeTruthy();
  });

  test('a room without a dispute shows none', () => {
    openPart(designOf('bag-tray'), <Practices room="tube" />);
    expect(screen.queryByText('Where people differ')).toBeNull();
  });
});

describe('the trade curve', () => {
  const curve = tradeCurve(designOf('cloth-pail'), 20);
  const wish = { days: 4, roots: 0.24 };
  const open = () => {
    const picked: number[] = [];
    const keys: string[] = [];
    show(
      <TradeCurve
        curve={curve}
        at={6}
        wish={wish}
        proposed={propose(curve, wish)?.point ?? null}
        onPick={(point) => picked.push(point.top)}
        onKeyDown={(event) => keys.push(event.key)}
      />,
    );
    return { slider: screen.getByRole('slider'), picked, keys };
  };

  test('is read out as days, roots and litres', () => {
    const { slider } = open();
    expect(slider.getAttribute('aria-valuetext')).toMatch(
      /days, [\d.]+.cm of root room, [\d.]+.L to use/,
    );
    expect(slider.getAttribute('aria-valuenow')).toBe('6');
  });

  test('a point on it is picked by hand, and keys are passed on', () => {
    const { slider, picked, keys } = open();
    slider.getBoundingClientRect = () => ({ left: 0, width: 262 }) as DOMRect;
    fireEvent.click(slider, { clientX: 250 });
    fireEvent.click(slider, { clientX: 45 });
    expect(picked[0]).toBeLessThan(picked[1]!);
    fireEvent.keyDown(slider, { key: 'ArrowRight' });
    expect(keys).toEqual(['ArrowRight']);
  });
});
