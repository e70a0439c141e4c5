import DxfParser from 'dxf-parser';
import { SVGPathData } from 'svg-pathdata';

/** A line of a drawing as another reader finds it: its corners, or the middle and rim of a circle. */
export interface DrawnItem {
  readonly layer: string;
  readonly kind: 'line' | 'circle';
  readonly points: readonly (readonly [number, number])[];
}

interface Entity {
  readonly type: string;
  readonly layer: string;
  readonly vertices?: readonly { readonly x: number; readonly y: number }[];
  readonly center?: { readonly x: number; readonly y: number };
  readonly radius?: number;
}

const circle = (layer: string, x: number, y: number, radius: number): DrawnItem => ({
  layer,
  kind: 'circle',
  points: [
    [x, y],
    [x + radius, y],
  ],
});

/** The lines of a DXF by dxf-parser, in their order. Throws at what a cutter would not know. */
export const dxfItems = (text: string): readonly DrawnItem[] =>
  ((new DxfParser().parseSync(text)?.entities ?? []) as readonly Entity[]).map(
    ({ type, layer, vertices, center, radius }) => {
      if (type === 'CIRCLE') return circle(layer, center!.x, center!.y, radius!);
      if (!['LWPOLYLINE', 'POLYLINE', 'LINE'].includes(type)) throw new Error(`there is ${type} in it`);
      return { layer, kind: 'line', points: vertices!.map(({ x, y }) => [x, y] as const) };
    },
  );

const number = (text: string, name: string): number => Number(new RegExp(` ${name}="([^"]+)"`).exec(text)![1]);

const pathItems = (layer: string, data: string, heightMm: number): readonly DrawnItem[] => {
  const lines: { readonly points: [number, number][]; arcs: number }[] = [];
  for (const command of new SVGPathData(data).toAbs().commands) {
    if (command.type === SVGPathData.MOVE_TO) lines.push({ points: [], arcs: 0 });
    const line = lines.at(-1)!;
    if (command.type === SVGPathData.ARC) line.arcs += 1;
    if ('x' in command && 'y' in command) line.points.push([command.x, heightMm - command.y]);
  }
  return lines.map(({ points, arcs }): DrawnItem => {
    const [first, half, last] = points;
    const round = points.length === 3 && arcs === 2 && Math.hypot(first![0] - last![0], first![1] - last![1]) < 1e-9;
    if (round) return circle(layer, (first![0] + half![0]) / 2, first![1], Math.abs(first![0] - half![0]) / 2);
    const closing =
      points.length > 2 &&
      arcs > 0 &&
      Math.hypot(first![0] - points.at(-1)![0], first![1] - points.at(-1)![1]) < 1e-9 &&
      data.includes('Z');
    return { layer, kind: 'line', points: closing ? points.slice(0, -1) : points };
  });
};

/** The lines of an SVG by svg-pathdata, in their order, y up. */
export const svgItems = (text: string): readonly DrawnItem[] => {
  const heightMm = Number(/viewBox="0 0 \S+ (\S+)"/.exec(text)![1]);
  return [...text.matchAll(/<g id="([^"]+)"[\s\S]*?<\/g>/g)].flatMap(([group, layer]) =>
    [...group.matchAll(/<(path|circle)[^>]*>/g)].flatMap(([element, name]) =>
      name === 'circle'
        ? [circle(layer!, number(element, 'cx'), heightMm - number(element, 'cy'), number(element, 'r'))]
        : pathItems(layer!, / d="([^"]+)"/.exec(element)![1]!, heightMm),
    ),
  );
};
