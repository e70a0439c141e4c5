import { outlineBounds, type Outline, type Point } from '../../base/outlines/index.js';
import { circle, faint, polyline, signal, text, type Template, type Tile } from '../../making/templates/index.js';
import { slugOf } from '../../base/words/index.js';
import { drawRuns } from '../letters/templates.js';
import { pileWords } from './parts.js';
import type { LayersResults } from './results.js';
import type { StandingSheet } from './scene.js';

type Facts = Pick<LayersResults, 'design' | 'geometry' | 'scene' | 'assembly' | 'runs' | 'materials'>;

const moved =
  ({ geometry: { inside } }: Facts) =>
  ([x, y]: Point): Point => [x + inside.widthMm / 2, y + inside.heightMm / 2];

const drawn = (
  tile: Tile,
  outline: Outline,
  place: (at: Point) => Point,
  ...style: Parameters<typeof polyline> extends [unknown, unknown, unknown, ...infer Rest] ? Rest : never
): void => {
  for (const ring of outline) polyline(tile, ring.map(place), true, ...style);
};

/** Where the piles under a sheet stand, over what they stand on, seen from the front. */
const spacerPlan = (facts: Facts, standing: StandingSheet): Template => {
  const { inside } = facts.geometry;
  const place = moved(facts);
  const below = facts.scene.sheets.filter(({ rearZMm }) => rearZMm < standing.rearZMm);
  return {
    title: `${facts.design.name}: spacers under ${standing.sheet.name}`,
    heading: `${facts.design.name} - spacers under ${standing.sheet.name}, seen from the front`,
    widthMm: inside.widthMm,
    heightMm: inside.heightMm,
    draw: (tile) => {
      for (const { outline } of below) drawn(tile, outline, place, faint, 0.4);
      drawn(tile, standing.outline, place, signal, 0.5);
      for (const { at, footMm, pile, on } of standing.carried.flatMap(({ posts }) => posts)) {
        const [x, y] = place(at);
        circle(tile, x, y, footMm);
        text(tile, pileWords(pile), x + footMm / 2 + 1, y - 1, 6, signal);
        text(
          tile,
          on === null ? 'on the back' : `on ${facts.scene.sheets[on]!.sheet.name}`,
          x + footMm / 2 + 1,
          y - 4,
          5,
        );
      }
    },
  };
};

/** All sheets one over the other, to trace from: what lies in front is drawn last. */
const traceThrough = (facts: Facts): Template => {
  const { inside } = facts.geometry;
  const place = moved(facts);
  return {
    title: `${facts.design.name}: scene to trace`,
    heading: `${facts.design.name} - all sheets at 1:1, seen from the front`,
    widthMm: inside.widthMm,
    heightMm: inside.heightMm,
    draw: (tile) => {
      polyline(
        tile,
        [
          [0, 0],
          [inside.widthMm, 0],
          [inside.widthMm, inside.heightMm],
          [0, inside.heightMm],
        ],
        true,
        faint,
        0.4,
      );
      facts.scene.sheets.forEach(({ outline, sheet }, at) => {
        drawn(tile, outline, place);
        const bounds = outlineBounds(outline)!;
        const [x, y] = place([bounds.x, bounds.y]);
        text(tile, `${at + 1} ${sheet.name}`, x + 3, y + 3 + 4 * at, 7, signal);
      });
    },
  };
};

/** Strip behind a sheet: on its rear side as that is seen from behind, on the back as it is seen from the front. */
const stripPlan = (facts: Facts): Template | null => {
  const behind = facts.assembly.scene.stripBehind;
  const carrier = facts.scene.sheets.find(({ sheet }) => sheet.id === behind?.sheetId);
  if (!behind || carrier === undefined) return null;
  const { inside } = facts.geometry;
  const turned = behind.looks === 'back' ? -1 : 1;
  const place = ([x, y]: readonly [number, number, ...number[]]): Point => [
    turned * x + inside.widthMm / 2,
    y + inside.heightMm / 2,
  ];
  const seen =
    behind.looks === 'back' ? `rear side of ${carrier.sheet.name}, seen from behind` : 'back, seen from the front';
  return {
    title: `${facts.design.name}: strip behind ${carrier.sheet.name}`,
    heading: `${facts.design.name} - strip on the ${seen}`,
    widthMm: inside.widthMm,
    heightMm: inside.heightMm,
    draw: (tile) => {
      for (const ring of carrier.outline) polyline(tile, ring.map(place), true, faint, 0.7);
      drawRuns(
        tile,
        { runs: facts.runs, jumpers: [], materials: facts.materials },
        facts.materials.strip.widthMm,
        place,
      );
    },
  };
};

/** The file of a sheet’s plan. */
const fileOf = ({ sheet }: StandingSheet, at: number): string =>
  `spacers-${at + 1}-${slugOf(sheet.name).slice(0, 40) || 'sheet'}`;

/** Plans of a scene at 1:1, by the name of their file. */
export const layersTemplates = (facts: Facts): Readonly<Record<string, Template>> => {
  const strip = stripPlan(facts);
  return facts.scene.sheets.length === 0
    ? {}
    : Object.fromEntries([
        ...(strip === null ? [] : [['strip-behind', strip] as const]),
        ['scene-to-trace', traceThrough(facts)],
        ...facts.scene.sheets.map((standing, at) => [fileOf(standing, at), spacerPlan(facts, standing)] as const),
      ]);
};
