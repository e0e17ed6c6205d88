/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { reshape, vesselFrom, type VesselDesign } from '@huerta/core/document';
import { vesselContradictions } from '@huerta/core/assembly';
import { useEffect, useState } from 'react';
import { show } from '../../testing/render';
import { VesselFields } from './VesselFields';

let now: VesselDesign;

function Held({ first }: { first: VesselDesign }) {
  const [vessel, setVessel] = useState(first);
  useEffect(() => {
    now = vessel;
  }, [vessel]);
  return (
    <VesselFields
      vessel={vessel}
      onChange={(next) => {
        const [found] = vesselContradictions(next);
        if (found) return found.message;
        setVessel(next);
        return null;
      }}
    />
  );
}

const open = (first: VesselDesign) => {
  show(<Held first={first} />);
  return userEvent.setup();
};

test.each([
  ['tote-50', ['Inside length, top', 'Inside width, floor', 'Corner radius']],
  ['trough-90', ['Inside length, top', 'Inside width, floor']],
  ['box-legs', ['Inside length', 'Legs', 'Fall of the floor', 'Liner', 'Board thickness']],
  ['barrel-lying', ['Inside diameter', 'Inside length', 'Cut at']],
] as const)('%s is asked for its own measures', (id, labels) => {
  open(vesselFrom(id));
  for (const label of labels) expect(screen.getByLabelText(label)).toBeTruthy();
});

test('a measure is taken in any unit; one that cannot be stays with its sentence', async () => {
  const user = open(vesselFrom('barrel-lying'));
  const cut = screen.getByLabelText<HTMLInputElement>('Cut at');
  await user.clear(cut);
  await user.type(cut, '12 in{Enter}');
  expect(now).toMatchObject({ depth: expect.closeTo(0.3048, 9) });
  await user.clear(cut);
  await user.type(cut, '565{Enter}');
  expect(screen.getByText(/has no opening to plant in/)).toBeTruthy();
  expect(cut.value).toBe('565');
  expect(now).toMatchObject({ depth: expect.closeTo(0.3048, 9) });
});

test('readings of a pour are added on, corrected and left out', async () => {
  const user = open(reshape(vesselFrom('tote-50'), 'poured'));
  expect(screen.getByLabelText('Width as a share of the length')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'One more reading' }));
  expect((now as Extract<VesselDesign, { kind: 'poured' }>).readings).toHaveLength(3);
  const second = screen.getByRole('group', { name: 'reading 2' });
  const volume = within(second).getByLabelText('Poured so far');
  await user.clear(volume);
  await user.type(volume, '1 L{Enter}');
  expect(screen.getByText(/Water only rises/)).toBeTruthy();
  await user.keyboard('{Escape}');
  await user.click(within(second).getByRole('button', { name: 'Leave out reading 2' }));
  expect((now as Extract<VesselDesign, { kind: 'poured' }>).readings).toHaveLength(2);
  expect(screen.queryByRole('button', { name: /Leave out/ })).toBeNull();
});

test('another shape keeps what was inspected', async () => {
  const user = open({ ...vesselFrom('pail-20'), formerContents: 'unknown', cracked: 'open' });
  await user.selectOptions(screen.getByLabelText('Shape'), 'frame');
  expect(now).toMatchObject({ kind: 'frame', formerContents: 'unknown', cracked: 'open' });
  await user.selectOptions(screen.getByLabelText('Liner'), 'film');
  expect(now).toMatchObject({ liner: 'film' });
});
