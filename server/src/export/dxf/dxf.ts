import type { Stroke, Template } from '@huerta/core/fabrication';
import {
  Colors,
  DxfWriter,
  LWPolylineFlags,
  point2d,
  point3d,
  TextHorizontalAlignment,
  TextVerticalAlignment,
  Units,
} from '@tarikjabiri/dxf';

const MM = 1000;
const COLOUR: Readonly<Record<Stroke, number>> = {
  cut: Colors.Black,
  mark: Colors.Blue,
  fine: Colors.Cyan,
};
const ALIGN = {
  start: TextHorizontalAlignment.Left,
  middle: TextHorizontalAlignment.Center,
  end: TextHorizontalAlignment.Right,
} as const;

/** A template as DXF in millimetres, y up; what is cut, marked and only read on layers of its own. */
export function templateDxf({ shapes, left, right, bottom, top }: Template): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  for (const [layer, colour] of Object.entries({ ...COLOUR, text: Colors.Black })) {
    dxf.addLayer(layer.toUpperCase(), colour, 'CONTINUOUS');
  }
  for (const shape of shapes) {
    if (shape.kind === 'text') {
      dxf.setCurrentLayerName('TEXT');
      const at = point3d(shape.x * MM, shape.y * MM);
      dxf.addText(at, shape.size * MM, shape.text, {
        horizontalAlignment: ALIGN[shape.anchor],
        verticalAlignment: TextVerticalAlignment.BaseLine,
        secondAlignmentPoint: at,
      });
      continue;
    }
    dxf.setCurrentLayerName(shape.stroke.toUpperCase());
    if (shape.kind === 'circle') {
      dxf.addCircle(point3d(shape.x * MM, shape.y * MM), shape.r * MM);
      continue;
    }
    const [one, other] = shape.points;
    if (shape.points.length === 2 && one && other) {
      dxf.addLine(point3d(one[0] * MM, one[1] * MM), point3d(other[0] * MM, other[1] * MM));
    } else {
      dxf.addLWPolyline(
        shape.points.map(([x, y]) => ({ point: point2d(x * MM, y * MM) })),
        { flags: shape.closed ? LWPolylineFlags.Closed : LWPolylineFlags.None },
      );
    }
  }
  dxf.setVariable('$EXTMIN', { 10: left * MM, 20: bottom * MM, 30: 0 });
  dxf.setVariable('$EXTMAX', { 10: right * MM, 20: top * MM, 30: 0 });
  return dxf.stringify();
}
