import { applyPatch, usualPlanted, STARTING_POINTS } from '@huerta/core/document';
import { evaluate } from '@huerta/core/assessment';
import { tell } from '@huerta/core/units';
const pail = STARTING_POINTS.find((x) => x.id === 'cloth-pail')!.design;
for (const v of [{ topDiameter: .258, bottomDiameter: .222, depth: .24 }, { topDiameter: .205, bottomDiameter: .175, depth: .185 }, {}]) for (const crop of ['tomato', 'pepper']) {
  const d = applyPatch(pail, [{ path: ['vessel'], value: { ...pail.vessel, ...v } }, { path: ['fillTube', 'length'], value: .3 }, { path: ['planting', 'crops'], value: [usualPlanted(crop as never, 1)] }]);
  for (const f of evaluate(d).assessment.findings.filter((x) => x.severity === 'fault')) console.log(f.id, tell(f.text, 'metric'), f.remedies.map((r) => tell(r.label, 'metric')));
  console.log('--');
}
