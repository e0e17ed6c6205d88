import { runsOf, type PartGroup } from '../../../assembly';
import { grown, outlinePoints } from '../../../geometry/vessels';
import type { FromAbove, InSection, PartDrawing } from '../../partDrawing';
import { area, circleBelow, circlePoints, line, type Point, type Shape } from '../../shape';

/** Pipes cut across: where each run and turn goes through the plane of the section. */
function cutPipes(group: PartGroup<'lying'>): number[] {
  return runsOf(group).flatMap((run) =>
    run.kind === 'straight' ? [run.x] : [-run.line.a, run.line.a],
  );
}

const section: InSection<'lying'> = (part, _planter, level) => {
  const { id, spec: design } = part;
  const r = design.diameter / 2;
  const bore = r - design.wall;
  return cutPipes(part).flatMap((x, i): Shape[] => {
    const wet = circleBelow(x, r, bore, level);
    return [
      area(`${id}-${i}-bore`, 'air', circlePoints(x, r, bore)),
      ...(wet.length > 0 ? [area(`${id}-${i}-water`, 'water', wet)] : []),
      area(`${id}-${i}`, 'pipe', circlePoints(x, r, r)),
      ...slots(`${id}-${i}`, x, r, bore),
    ];
  });
};

/** The perforations of a pipe, as short strokes through its wall. */
function slots(id: string, x: number, r: number, bore: number): Shape[] {
  return [20, 70, 110, 160, 200, 250, 290, 340].map((degrees) => {
    const angle = (degrees * Math.PI) / 180;
    const at = (radius: number): Point => [
      x + radius * Math.cos(angle),
      r + radius * Math.sin(angle),
    ];
    return line(`${id}-slot-${degrees}`, 'vent', [at(bore * 0.9), at(r)]);
  });
}

const plan: FromAbove<'lying'> = (group) => {
  const r = group.spec.diameter / 2;
  return runsOf(group).flatMap((run, i): Shape[] => {
    const id = `plan-${group.id}-${i}`;
    if (run.kind === 'turn') {
      return [
        area(id, 'pipe', outlinePoints(grown(run.line, r))),
        area(`${id}-in`, 'pipe', outlinePoints(grown(run.line, -r))),
      ];
    }
    const [a, b] = run.along === 'y' ? [r, run.half] : [run.half, r];
    const corners: Point[] = [
      [run.x - a, run.y - b],
      [run.x + a, run.y - b],
      [run.x + a, run.y + b],
      [run.x - a, run.y + b],
    ];
    return [area(id, 'water', corners), area(`${id}-edge`, 'pipe', corners)];
  });
};

export const lying: PartDrawing<'lying'> = { phase: 'base', section, plan };
