import { assemble, pour, type Planter } from '../../assembly';
import type { PlanterDesign } from '../../document';
import type { LinePlanter } from './deeds';

/** What a line of the log asks of a design; it is put together once something is asked. */
export function linePlanterOf(design: PlanterDesign): LinePlanter {
  let known: Planter | null = null;
  const planter = (): Planter => (known ??= assemble(design));
  const full = (): number => {
    const { brim, invert } = planter().heights;
    return invert ?? brim;
  };
  return {
    depthOf: (volume) => pour(planter(), volume).level,
    get full() {
      return full();
    },
    get rim() {
      return planter().heights.rim;
    },
    get holds() {
      return planter().storage.volumeBelow(full()) + (design.reservoir.supply?.volume ?? 0);
    },
  };
}
