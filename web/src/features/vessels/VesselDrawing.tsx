import { vesselSection } from '@huerta/core/drawing';
import type { VesselDesign } from '@huerta/core/document';
import { useMemo } from 'react';
import { SmallSection } from '../../drawing/SmallSection';

interface VesselDrawingProps {
  vessel: VesselDesign;
  width: number;
  height: number;
}

/** A vessel alone, cut through its middle, to scale. */
export function VesselDrawing({ vessel, width, height }: VesselDrawingProps) {
  const drawing = useMemo(() => vesselSection(vessel), [vessel]);
  return <SmallSection section={drawing} width={width} height={height} />;
}
