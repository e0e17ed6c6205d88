import { rank, type Finding } from '../../assessment';
import { q, say, type Message } from '../../units';
import { FEW, type Carry, type FieldReading } from './advice';
import type { FieldPictures } from './pictures';

/** Above this share of the plan it is the whole upper part that is dry, and not a rim or patches. */
const WHOLE = 0.9;

/**
 * What the moisture of a hot day at the full mark says of a design, as a finding among the others.
 *
 * @param field the moisture on that day
 * @param carried what was tried and carries the water farther, best first; empty while it is being tried
 * @returns null where water gets to all roots, and where it gets nowhere: that is a missing or weak wick, and said as one
 */
export function fieldFinding(
  field: Pick<FieldPictures, 'shares' | 'reading'>,
  carried: readonly Carry[],
): Finding | null {
  const { dry } = field.shares;
  if (dry < FEW || dry > WHOLE) return null;
  return {
    id: 'moisture',
    severity: 'watch',
    panel: 'wick',
    text: dryWords(field.reading, dry),
    remedies: carried.map(({ label, patch, dry: then }) => ({
      label: say`${label}: ${q(then, 'share')} dry then`,
      patch,
    })),
  };
}

/**
 * The findings with that of the moisture among them, worst first; without it where a wick has a fault, which is
 * why soil stays dry then.
 */
export function withMoisture(
  findings: readonly Finding[],
  moisture: Finding | null,
): readonly Finding[] {
  const faulty = findings.some(({ panel, severity }) => panel === 'wick' && severity === 'fault');
  if (!moisture || faulty) return findings;
  return [...findings, moisture].sort((a, b) => rank(a.severity) - rank(b.severity));
}

/** What to do first, then where it is dry and how much of it. */
function dryWords({ rim, dryPlan }: FieldReading, dry: number): Message {
  if (rim !== null)
    return say`Carry water to the outer ${q(rim, 'length')}: on a hot day ${q(dry, 'share')} of the roots stand dry there.`;
  if (dryPlan > WHOLE)
    return say`Water from the top on hot days: the upper part dries out, with ${q(dry, 'share')} of the roots.`;
  return say`Carry water farther: on a hot day ${q(dry, 'share')} of the roots stand dry, in patches.`;
}
