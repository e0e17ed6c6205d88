import { assemble } from '@huerta/core/assembly';
import { section } from '@huerta/core/drawing';
import { STARTING_POINTS } from '@huerta/core/document';
import { stippleTile, TILE } from './stipple';
import { fitView } from './view';

const MARGIN = { left: 100, right: 50, top: 10, bottom: 40 };

describe('a view', () => {
  const { bounds } = section(assemble(STARTING_POINTS[0]!.design));
  const view = fitView(bounds, 800, 600, MARGIN);

  test('is true to scale both ways', () => {
    expect(view.x(0.1) - view.x(0)).toBeCloseTo(view.scale * 0.1, 9);
    expect(view.y(0) - view.y(0.1)).toBeCloseTo(view.scale * 0.1, 9);
  });

  test('holds the whole drawing between its margins, standing on the lower one', () => {
    expect(view.x(bounds.left)).toBeGreaterThanOrEqual(100 - 1e-9);
    expect(view.x(bounds.right)).toBeLessThanOrEqual(750 + 1e-9);
    expect(view.y(bounds.top)).toBeGreaterThanOrEqual(10 - 1e-9);
    expect(view.y(bounds.bottom)).toBeCloseTo(560, 9);
    const fills =
      Math.abs(view.y(bounds.top) - 10) < 1e-6 || Math.abs(view.x(bounds.left) - 100) < 1e-6;
    expect(fills).toBe(true);
  });

  test('writes paths, open and closed', () => {
    const closed = view.path(
      [
        [0, 0],
        [0.1, 0],
      ],
      true,
    );
    expect(closed).toMatch(/^M[\d.]+ [\d.]+L[\d.]+ [\d.]+Z$/);
    expect(view.path([[0, 0]], false)).not.toContain('Z');
  });
});

test('soil dots are the same every time, apart by set, and clear of the tile’s edge', () => {
  expect(stippleTile(7, 0)).toBe(stippleTile(7, 0));
  expect(stippleTile(7, 0)).not.toBe(stippleTile(7, 1));
  const dots = [...stippleTile(7, 0).matchAll(/M([\d.]+) ([\d.]+)h0/g)];
  expect(dots).toHaveLength((TILE / 7) ** 2);
  for (const [, x, y] of dots) {
    expect(Number(x)).toBeGreaterThanOrEqual(1);
    expect(Number(y)).toBeLessThanOrEqual(TILE - 1);
  }
});
