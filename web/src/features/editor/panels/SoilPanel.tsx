import { FeedGroup } from './FeedGroup';
import { LayersGroup } from './LayersGroup';
import { MixGroup } from './MixGroup';
import { PlantsGroup } from './PlantsGroup';

/** Layers, mix, plants with their thirst, and what feeds them. */
export function SoilPanel() {
  return (
    <>
      <LayersGroup />
      <MixGroup />
      <PlantsGroup />
      <FeedGroup />
    </>
  );
}
