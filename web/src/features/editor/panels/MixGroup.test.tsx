/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import { designOf, openPart } from '../../../testing/editor';
import { MixGroup } from './MixGroup';

test('a mix by parts of one’s own: begun from the usual one, changed, measured, and left again', async () => {
  const { now, user } = openPart(designOf('cloth-pail'), <MixGroup />);
  const mix = screen.getByRole('combobox', { name: 'Mix' });
  await user.selectOptions(mix, 'By parts of your own');
  const parts = () => screen.getByRole('group', { name: 'Parts of the mix' });
  expect(now().soil.recipe?.parts.map(({ what }) => what)).toEqual([
    'coir',
    'perlite',
    'compost',
    'hulls',
  ]);
  // 1 − (0.5 · 0.09 + (0.15 + 0.32 + 0.1) / 6) / (1 − 0.139)
  expect(parts().textContent).toMatch(/84% is pores/);
  expect(parts().textContent).toMatch(/10.L of parts make 8\.\d.L of mix/);

  await user.selectOptions(
    within(parts()).getByRole('combobox', { name: 'Ingredient 2' }),
    'Pumice',
  );
  await user.click(within(parts()).getByRole('button', { name: 'Leave out compost' }));
  await user.click(within(parts()).getByRole('button', { name: 'Leave out rice hulls' }));
  await user.click(within(parts()).getByRole('button', { name: 'Another ingredient' }));
  const [first] = within(parts()).getAllByRole('textbox', { name: 'Parts' });
  await user.clear(first!);
  await user.type(first!, '0{Enter}');
  expect(within(parts()).getByText(/from 0\.1 to 100/)).toBeTruthy();
  await user.clear(first!);
  await user.type(first!, '4{Enter}');
  expect(now().soil.recipe?.parts).toEqual([
    { what: 'coir', parts: 4 },
    { what: 'pumice', parts: 1 },
    { what: 'peat', parts: 1 },
  ]);

  await user.click(within(parts()).getByRole('button', { name: 'Enter what you measured' }));
  const reach = within(parts()).getByRole('textbox', { name: 'Wet height after a day' });
  await user.clear(reach);
  await user.type(reach, '24 cm{Enter}');
  expect(now().soil.recipe?.measured?.reach).toBeCloseTo(0.24, 12);
  expect(screen.getByText(/wets 24.cm from below/)).toBeTruthy();

  await user.selectOptions(mix, 'Peat mix with perlite');
  expect(now().soil).toMatchObject({ medium: 'peat-perlite', recipe: null });
});
