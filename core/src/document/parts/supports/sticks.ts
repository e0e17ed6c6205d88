import { z } from 'zod';
import { FIELDS } from '../../fields';
import { number } from '../../number';
import { bare, support } from '../../support';

const S = FIELDS.support;

export const sticks = support({
  rank: 6,
  schema: z.strictObject({
    kind: z.literal('sticks'),
    diameter: number(S.stick),
    spacing: number(S.stickSpacing),
  }),
  bases: {
    sticks: {
      name: 'Crossed sticks',
      flat: false,
      like: () => true,
      usual: (_width) => [
        { ...bare(), parts: [{ kind: 'sticks', diameter: 0.012, spacing: 0.04 }] },
      ],
    },
  },
  more: () => [],
});
