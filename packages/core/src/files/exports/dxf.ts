import { DxfWriter, LWPolylineFlags, point2d, point3d, Units, type LWPolylineVertex } from '@tarikjabiri/dxf';
import { arcsAlong, findArcs, type BulgedPoint } from '../../base/curves/index.js';
import type { Outline } from '../../base/outlines/index.js';
import { usualColours, type LayerColours } from '../../document/catalogue/index.js';
import type { CutPart, PartShape } from '../../making/parts/index.js';
import { colourIndex, trueColour } from './colour-index.js';
import { layerName } from './layer-name.js';

/** Micrometres are finer than any machine, and keep the file short. */
export const micron = (value: number): number => Math.round(value * 1000) / 1000;

const vertices = (points: readonly BulgedPoint[]): LWPolylineVertex[] =>
  points.map(({ at, bulge }) => ({ point: point2d(micron(at[0]), micron(at[1])), bulge }));

const drawOutline = (dxf: DxfWriter, outline: Outline, layerName: string): void => {
  for (const ring of outline) {
    const found = findArcs(ring);
    if (found.kind === 'circle')
      dxf.addCircle(point3d(micron(found.centre[0]), micron(found.centre[1])), micron(found.radius), { layerName });
    else dxf.addLWPolyline(vertices(found.points), { flags: LWPolylineFlags.Closed, layerName });
  }
};

const drawShape = (dxf: DxfWriter, shape: PartShape, layerName: string): void => {
  switch (shape.kind) {
    case 'outline':
      return drawOutline(dxf, shape.outline, layerName);
    case 'hole':
      return void dxf.addCircle(point3d(micron(shape.x), micron(shape.y)), micron(shape.diameterMm / 2), { layerName });
    case 'path':
      return shape.closed
        ? drawOutline(dxf, [shape.points], layerName)
        : void dxf.addLWPolyline(vertices(arcsAlong(shape.points)), { flags: LWPolylineFlags.None, layerName });
    case 'line':
      return void dxf.addLine(
        point3d(micron(shape.from[0]), micron(shape.from[1])),
        point3d(micron(shape.to[0]), micron(shape.to[1])),
        { layerName },
      );
  }
};

/** One part as DXF, 1:1 in mm: a layer for each operation and depth, closed polylines with arcs where arcs were, holes as circles. */
export const partDxf = (part: CutPart, colours: LayerColours = usualColours): string => {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  dxf.setVariable('$MEASUREMENT', { 70: 1 });
  dxf.setVariable('$EXTMIN', { 10: 0, 20: 0, 30: 0 });
  dxf.setVariable('$EXTMAX', { 10: micron(part.widthMm), 20: micron(part.heightMm), 30: 0 });
  for (const layer of part.layers) {
    const name = layerName(layer, part);
    const colour = colours[layer.operation];
    dxf.addLayer(name, colourIndex(colour), 'Continuous').trueColor = trueColour(colour);
    for (const shape of layer.shapes) drawShape(dxf, shape, name);
  }
  return dxf.stringify();
};
