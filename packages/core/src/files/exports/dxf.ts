import { DxfWriter, LWPolylineFlags, point2d, point3d, Units, type LWPolylineVertex } from '@tarikjabiri/dxf';
import { findArcs } from '../../base/curves/index.js';
import type { Outline } from '../../base/outlines/index.js';
import type { CutPart, Operation, PartShape } from '../../making/parts/index.js';

/** Colour numbers tell the layers apart on screen; machines go by the layer’s name. */
export const dxfColours: Readonly<Record<Operation, number>> = {
  cut: 1,
  drill: 5,
  seat: 3,
  mark: 8,
  film: 6,
  engrave: 4,
  rout: 2,
  'bit-path': 30,
};

/** Micrometres are finer than any machine, and keep the file short. */
export const micron = (value: number): number => Math.round(value * 1000) / 1000;

const drawOutline = (dxf: DxfWriter, outline: Outline, layerName: string): void => {
  for (const ring of outline) {
    const found = findArcs(ring);
    if (found.kind === 'circle')
      dxf.addCircle(point3d(micron(found.centre[0]), micron(found.centre[1])), micron(found.radius), { layerName });
    else
      dxf.addLWPolyline(
        found.points.map(({ at, bulge }): LWPolylineVertex => ({
          point: point2d(micron(at[0]), micron(at[1])),
          bulge,
        })),
        { flags: LWPolylineFlags.Closed, layerName },
      );
  }
};

const drawShape = (dxf: DxfWriter, shape: PartShape, layerName: string): void => {
  switch (shape.kind) {
    case 'outline':
      return drawOutline(dxf, shape.outline, layerName);
    case 'hole':
      return void dxf.addCircle(point3d(micron(shape.x), micron(shape.y)), micron(shape.diameterMm / 2), { layerName });
    case 'path':
      return void dxf.addLWPolyline(
        shape.points.map(([x, y]) => ({ point: point2d(micron(x), micron(y)) })),
        { flags: shape.closed ? LWPolylineFlags.Closed : LWPolylineFlags.None, layerName },
      );
    case 'line':
      return void dxf.addLine(
        point3d(micron(shape.from[0]), micron(shape.from[1])),
        point3d(micron(shape.to[0]), micron(shape.to[1])),
        { layerName },
      );
  }
};

/** One part as DXF, 1:1 in mm: a layer an operation, closed polylines with arcs where arcs were, holes as circles. */
export const partDxf = (part: CutPart): string => {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  dxf.setVariable('$MEASUREMENT', { 70: 1 });
  dxf.setVariable('$EXTMIN', { 10: 0, 20: 0, 30: 0 });
  dxf.setVariable('$EXTMAX', { 10: micron(part.widthMm), 20: micron(part.heightMm), 30: 0 });
  for (const { operation, shapes } of part.layers) {
    const layerName = operation.toUpperCase();
    dxf.addLayer(layerName, dxfColours[operation], 'Continuous');
    for (const shape of shapes) drawShape(dxf, shape, layerName);
  }
  return dxf.stringify();
};
