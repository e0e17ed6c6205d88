import { FIELDS } from '@huerta/core/document';
import { plan } from '@huerta/core/drawing';
import { useMemo } from 'react';
import { PlanDrawing } from '../../../drawing/PlanDrawing';
import { useEditor } from '../editorState';
import { BaseGroup } from './BaseGroup';
import { OverflowGroup } from './OverflowGroup';
import { Group, Measure } from './parts';
import { SupplyGroup } from './SupplyGroup';
import { TradeGroup } from './TradeGroup';

/** Decide the water: what keeps the soil out of it, where it runs out, and how long it must last. */
export function WaterPanel() {
  const { design, planter } = useEditor();
  const drawing = useMemo(() => plan(planter), [planter]);
  return (
    <>
      <BaseGroup />
      <PlanDrawing
        drawing={drawing}
        width={262}
        height={180}
        label="The floor seen from above, to scale"
      />
      <OverflowGroup />
      <TradeGroup />
      <Group title="What may come in">
        <Measure path={['place', 'hose']} spec={FIELDS.place.hose} value={design.place.hose} />
        {design.place.rain === 'open' && (
          <Measure path={['place', 'storm']} spec={FIELDS.place.storm} value={design.place.storm} />
        )}
      </Group>
      <SupplyGroup />
    </>
  );
}
