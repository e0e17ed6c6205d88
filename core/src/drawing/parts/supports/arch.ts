import { archProfile, boxesOf } from '../../../assembly';
import { rectangles } from '../../above';
import type { FromAbove, InSection, PartDrawing } from '../../partDrawing';
import { area, type Point } from '../../shape';
import { hexagon, inkOfVents, VENT } from '../vents';

const section: InSection<'arch'> = (part, _planter, level) => {
  const { id, spec: design, height: top } = part;
  const half = boxesOf(part)[0]?.a ?? 0;
  if (half <= 0) return [];
  const under = (w: number, h: number, upTo: number): Point[] => {
    const profile = archProfile(w, h);
    const steps = Array.from({ length: 25 }, (_, k) => (Math.min(upTo, h) * k) / 24);
    return [
      ...steps.map((z): Point => [profile.halfAt(z), z]),
      ...steps.reverse().map((z): Point => [-profile.halfAt(z), z]),
    ];
  };
  const w = Math.max(half - design.wall, 1e-3);
  const h = Math.max(top - design.wall, 1e-3);
  const inside = part.levelInside(level);
  return [
    area(id, 'pipe', under(half, top, top)),
    area(`${id}-air`, 'air', under(w, h, h)),
    ...(inside > 0 ? [area(`${id}-water`, 'water', under(w, h, inside))] : []),
    ...(design.vents === 'both'
      ? [-0.6, -0.2, 0.2, 0.6].map((share, i) =>
          hexagon(`${id}-hole-${i}`, half * share, h * (0.88 - 0.5 * share * share), VENT),
        )
      : []),
  ];
};

const plan: FromAbove<'arch'> = (group) => rectangles(group, inkOfVents(group.spec.vents));

export const arch: PartDrawing<'arch'> = { phase: 'base', section, plan };
