import { useId } from 'react';

interface LeafProps {
  /** How thirsty it is through its time, 0 to 1; null while that is not known. */
  shape: readonly number[] | null;
  /** Share of its time that is over, 0 to 1. */
  past?: number;
}

/** Beyond how many percent of its length a vein leans, and from one to the next. */
const LEAN = 1.2;
const VEINS = 12;
/** Points from an end over which it narrows. */
const TAPERS = 4;
const THIN: readonly number[] = [0, 0.01, 0.01, 0];

/** A planting as a leaf, as thick as it drinks: half its width goes with the root of that. What is over is full, what comes pale. */
export function Leaf({ shape, past = 0 }: LeafProps) {
  const id = useId();
  const points = shape ?? THIN;
  const x = (i: number): number => (100 * (i + 1)) / (points.length + 1);
  const half = (i: number): number => {
    // It narrows towards both its ends.
    const near = Math.min(i + 1, points.length - i) / TAPERS;
    const thirst = Math.min(Math.max(points[i] ?? 0, 0), 1);
    return 49 * Math.sqrt(thirst * Math.min(near, 1));
  };
  const edge = (side: 1 | -1) => points.map((_, i) => `L${x(i)} ${50 + side * half(i)}`);
  const outline = `M0 50${edge(-1).join('')}L100 50${edge(1).reverse().join('')}Z`;
  const veins = Array.from({ length: VEINS }, (_, i) => {
    const at = Math.floor(((i + 0.5) / VEINS) * points.length);
    const reach = 0.75 * half(at);
    return `M${x(at) + LEAN} ${50 - reach}L${x(at)} 50L${x(at) + LEAN} ${50 + reach}`;
  }).join('');
  return (
    <svg className="leaf" viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden>
      <linearGradient id={id}>
        <stop offset={past} className="leaf-over" />
        <stop offset={past} className="leaf-coming" />
      </linearGradient>
      <path d={outline} fill={`url(#${id})`} />
      <path className="leaf-vein" d={`M0 50H100${shape ? veins : ''}`} />
    </svg>
  );
}
