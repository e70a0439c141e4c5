import {
  intersect,
  outlineArea,
  outlineBounds,
  rectRing,
  subtract,
  type Outline,
} from '../../../base/outlines/index.js';
import { set } from '../../../document/design/index.js';
import type { Candidate, Remedy, Rule } from '../../../judging/findings/index.js';
import { fieldsIn } from '../../../judging/results/index.js';
import type { LayersResults } from '../results.js';
import { mostSheets } from '../schema.js';
import { liesRoundRim } from '../strip-behind.js';
import { topsOf, type StandingSheet } from '../scene.js';
import { middleOf, mm, noneLeft, placeAt } from '../../common/rule-words.js';
import { listed, withSheet } from './common.js';

/** Less than this is a touch, not an overlap (mm²). */
const touchMm2 = 4;

/** Two sheets that take the same room. */
const collisions = ({ scene }: LayersResults): readonly (readonly [StandingSheet, StandingSheet, Outline])[] =>
  scene.sheets.flatMap((front, at) =>
    scene.sheets.slice(0, at).flatMap((behind) => {
      if (front.rearZMm >= behind.frontZMm - 0.05) return [];
      const both = intersect(front.outline, behind.outline);
      return Math.abs(outlineArea(both)) > touchMm2 ? [[front, behind, both] as const] : [];
    }),
  );

/** Sheets that would go through one another. */
export const sheetsCollide: Rule<LayersResults> = ({ results }) => {
  const found = collisions(results);
  const [first] = found;
  if (first === undefined) return null;
  const [front, behind, both] = first;
  const needed = Math.ceil(10 * behind.frontZMm) / 10;
  const by = needed - front.sheet.heightMm;
  const { sheets } = results.assembly.scene;
  return {
    id: 'sheets-collide',
    severity: 'stop',
    step: 'case',
    what: `${front.sheet.name} goes through ${behind.sheet.name}`,
    why: `They overlap, and the rear of the one is at ${mm(front.rearZMm)} while the front of the other is at ${mm(behind.frontZMm)}.`,
    numbers: [{ label: 'lacks', value: Math.round(10 * (behind.frontZMm - front.rearZMm)) / 10, unit: 'mm' }],
    where: placeAt(middleOf(both)),
    target: noneLeft('sheets that collide', (tried) => collisions(tried).length),
    remedies: [
      {
        id: 'raise-sheet',
        candidates: [
          {
            label: `${front.sheet.name} at ${needed} mm`,
            change: withSheet(results, front.index, { heightMm: needed }),
          },
        ],
      },
      {
        id: 'raise-all',
        candidates: [
          {
            label: `${front.sheet.name} and all before it ${mm(by)} higher, the case as much deeper`,
            change: [
              set(
                fieldsIn(results).scene.sheets,
                sheets.map((sheet, at) =>
                  at === front.index || sheet.heightMm > front.sheet.heightMm
                    ? { ...sheet, heightMm: Math.round(10 * (sheet.heightMm + by)) / 10 }
                    : sheet,
                ),
              ),
              set(fieldsIn(results).case.depthInsideMm, Math.ceil(results.geometry.inside.depthMm + by)),
            ],
          },
        ],
      },
    ],
  };
};

/** Sheets that reach into strip behind another, or on the back. */
const inHiddenStrip = ({ scene, bands }: LayersResults): readonly StandingSheet[] =>
  scene.sheets.filter(({ rearZMm, frontZMm, outline }) =>
    bands.some(
      ({ covers, fromZMm, toZMm }) =>
        rearZMm < toZMm - 0.05 &&
        frontZMm > fromZMm + 0.05 &&
        Math.abs(outlineArea(intersect(outline, covers))) > touchMm2,
    ),
  );

/** Sheets that reach into strip on the rim. */
const inRimStrip = ({ scene, runs, geometry, materials }: LayersResults): readonly StandingSheet[] => {
  const { inside } = geometry;
  const { strip } = materials;
  const onRim = runs.segments.filter(({ on }) => on !== 'back' && on !== 'block' && on !== 'sheet');
  if (onRim.length === 0) return [];
  const heights = [...new Set(onRim.map(({ path }) => path[0]![2]))];
  const reach = strip.heightMm + 0.5;
  const [w, h] = [inside.widthMm, inside.heightMm];
  const free = rectRing({ x: reach - w / 2, y: reach - h / 2, width: w - 2 * reach, height: h - 2 * reach });
  return scene.sheets.filter(({ rearZMm, frontZMm, outline }) => {
    const level = heights.some((z) => rearZMm < z + strip.widthMm / 2 && frontZMm > z - strip.widthMm / 2);
    return level && Math.abs(outlineArea(subtract(outline, [free]))) > touchMm2;
  });
};

/** Sheets that take room which strip takes too. */
const inStrip = (results: LayersResults): readonly StandingSheet[] =>
  results.bands.length > 0 ? inHiddenStrip(results) : inRimStrip(results);

/** The sheet that strip hides behind farther forward, and what stands before it as much; or the strip at the sheet’s rear. */
const clearOfHidden = (results: LayersResults): Remedy => {
  const { scene, assembly, materials, geometry } = results;
  const behind = assembly.scene.stripBehind;
  const carrier = scene.sheets.find(({ sheet }) => sheet.id === behind?.sheetId);
  if (!behind || carrier === undefined) return { id: 'raise-carrier', candidates: [] };
  const met = Math.max(0, ...inHiddenStrip(results).map(({ frontZMm }) => frontZMm));
  const by = Math.ceil(met + materials.strip.heightMm + 1 - carrier.rearZMm);
  const fields = fieldsIn(results);
  return {
    id: 'raise-carrier',
    candidates: [
      ...(behind.looks === 'back' && by > 0
        ? [
            {
              label: `${carrier.sheet.name} and all before it ${mm(by)} higher, the case as much deeper`,
              change: [
                set(
                  fields.scene.sheets,
                  assembly.scene.sheets.map((sheet, at) =>
                    at === carrier.index || sheet.heightMm > carrier.sheet.heightMm
                      ? { ...sheet, heightMm: Math.round(10 * (sheet.heightMm + by)) / 10 }
                      : sheet,
                  ),
                ),
                set(fields.case.depthInsideMm, Math.ceil(geometry.inside.depthMm + by)),
              ],
            },
          ]
        : []),
      ...(behind.looks === 'front'
        ? [
            {
              label: `Strip on the rear side of ${carrier.sheet.name}, to the back`,
              change: [set(fields.scene.stripBehind, { ...behind, looks: 'back' as const })],
            },
          ]
        : []),
    ],
  };
};

/** Strip round the rim in the middle of each gap that it fits in, the widest first. */
const stripToGap = (results: LayersResults): Remedy => {
  const { scene, geometry, materials, assembly } = results;
  const edges = [
    { from: 0, to: 0 },
    ...scene.sheets.map(({ rearZMm, frontZMm }) => ({ from: rearZMm, to: frontZMm })),
    { from: geometry.inside.depthMm, to: geometry.inside.depthMm },
  ];
  const gaps = edges
    .slice(1)
    .map(({ from }, at) => ({ low: edges[at]!.to, high: from }))
    .filter(({ low, high }) => high - low >= materials.strip.widthMm)
    .sort((a, b) => b.high - b.low - (a.high - a.low));
  const fields = fieldsIn(results);
  return {
    id: 'strip-to-gap',
    candidates: liesRoundRim(assembly)
      ? gaps.slice(0, 3).map(({ low, high }): Candidate => ({
          label: `Strip ${Math.round((low + high) / 2)} mm from the back, between the sheets`,
          change: [
            set(fields.light.fromBackMm, Math.round(5 * (low + high)) / 10),
            ...(assembly.light.turnCount > 1 ? [set(fields.light.turnCount, 1)] : []),
          ],
        }))
      : [],
  };
};

/** No gap between the sheets takes the strip. */
export const sheetMeetsStrip: Rule<LayersResults> = ({ results }) => {
  const found = inStrip(results);
  const [first] = found;
  if (first === undefined) return null;
  const { strip } = results.materials;
  return {
    id: 'sheet-meets-strip',
    severity: 'stop',
    step: 'light',
    what: `${listed(found.map(({ sheet }) => sheet.name))} ${found.length === 1 ? 'reaches' : 'reach'} into the strip`,
    why:
      results.bands.length > 0
        ? `Strip ${mm(strip.heightMm)} thick lies where the sheet is (${mm(first.rearZMm)} to ${mm(first.frontZMm)} from the back): it wants room before or behind it.`
        : `Strip ${mm(strip.widthMm)} wide lies on the rim where the sheet is (${mm(first.rearZMm)} to ${mm(first.frontZMm)} from the back): a gap between sheets must be as wide as it, or the sheet keep off the rim.`,
    numbers: [{ label: 'strip', value: strip.widthMm, unit: 'mm' }],
    where: placeAt(middleOf(first.outline)),
    target: noneLeft('sheets in the strip', (tried) => inStrip(tried).length),
    remedies: [stripToGap(results), clearOfHidden(results)],
  };
};

const loose = ({ scene }: LayersResults) =>
  scene.sheets.flatMap((standing) =>
    standing.carried
      .filter(({ posts, steady, flat, slots }) => !flat && slots.length === 0 && (posts.length === 0 || !steady))
      .map(({ part, posts }) => ({ standing, part, posts })),
  );

/** Flat on what is behind it: on the foremost sheets there, or on the back. */
const glueFlat = (results: LayersResults, { sheet, index }: StandingSheet): Remedy => ({
  id: 'glue-flat',
  candidates: [...results.scene.sheets.map(({ frontZMm }) => frontZMm), 0]
    .filter((front) => front < sheet.heightMm - 0.05)
    .sort((a, b) => b - a)
    .slice(0, 3)
    .map((front): Candidate => ({
      label: `${sheet.name} flat on ${front === 0 ? 'the back' : 'what is behind it'}, at ${mm(front)}`,
      change: withSheet(results, index, { heightMm: Math.round(10 * front) / 10 }),
    })),
});

/** A whole sheet behind it, in the colour of the back, on which it lies flat at the height that it has. */
const standOnSheet = (results: LayersResults, { sheet, index, stock }: StandingSheet): Remedy => {
  const { sheets, backColour } = results.assembly.scene;
  const carrier = results.materials.sheets.find(({ stuff }) => stuff === 'wood') ?? stock;
  const heightMm = Math.round(10 * (sheet.heightMm - carrier.thicknessMm)) / 10;
  const behind = Math.max(0, ...results.scene.sheets.slice(0, index).map(({ frontZMm }) => frontZMm));
  const id = ['ground', ...sheets.map((_, at) => `ground-${at + 2}`)].find((free) =>
    sheets.every((other) => other.id !== free),
  )!;
  return {
    id: 'stand-on-sheet',
    candidates:
      heightMm < behind || sheets.length >= mostSheets
        ? []
        : [
            {
              label: `A whole sheet of ${carrier.name} behind ${sheet.name}, which is glued flat on it`,
              change: [
                set(fieldsIn(results).scene.sheets, [
                  ...sheets.slice(0, index),
                  { id, name: 'Ground', shape: 'whole', materialId: carrier.id, colour: backColour, heightMm },
                  ...sheets.slice(index),
                ]),
              ],
            },
          ],
  };
};

/** Pieces of a sheet that no spacer carries, or that would tip over. */
export const notCarried: Rule<LayersResults> = ({ results }) => {
  const found = loose(results);
  const [first] = found;
  if (first === undefined) return null;
  const none = found.filter(({ posts }) => posts.length === 0);
  return {
    id: 'not-carried',
    severity: none.length > 0 ? 'fix' : 'note',
    step: 'case',
    what:
      none.length > 0
        ? `${none.length === 1 ? 'A piece' : `${none.length} pieces`} of ${listed([...new Set(none.map(({ standing }) => standing.sheet.name))])} ${none.length === 1 ? 'stands' : 'stand'} on nothing`
        : `${found.length === 1 ? 'A piece' : `${found.length} pieces`} of ${listed([...new Set(found.map(({ standing }) => standing.sheet.name))])} may tip over`,
    why:
      none.length > 0
        ? 'Nowhere inside its outline is there room for the foot of a spacer on one sheet behind it, or on the back, clear of the strip.'
        : 'Its middle does not lie between its spacers: hold it until the glue has set, or give it a bridge to its neighbour.',
    numbers: [{ label: 'pieces', value: found.length, unit: '' }],
    where: placeAt(middleOf(first.part)),
    target: noneLeft('pieces not held', (tried) => loose(tried).length),
    remedies: [glueFlat(results, first.standing), standOnSheet(results, first.standing)],
    noRemedy: 'Join the piece to its neighbour in the drawing, or make it wider than the foot of a spacer (8 mm).',
  };
};

/** Farther off the wanted height than this is told (mm). */
const offMm = 0.75;

/** A height that no pile of the stock makes. */
export const heightOff: Rule<LayersResults> = ({ results }) => {
  const off = (tried: LayersResults): number =>
    Math.max(0, ...tried.scene.sheets.map(({ errorMm }) => Math.abs(errorMm)));
  if (off(results) <= offMm) return null;
  const worst = results.scene.sheets.reduce((a, b) => (Math.abs(b.errorMm) > Math.abs(a.errorMm) ? b : a));
  return {
    id: 'height-off',
    severity: 'note',
    step: 'case',
    what: `No pile of spacers makes ${mm(worst.sheet.heightMm)} for ${worst.sheet.name}`,
    why: `The nearest from the stock leaves its rear side at ${mm(worst.rearZMm)}; everything is worked out with that.`,
    numbers: [{ label: 'off', value: Math.round(10 * worst.errorMm) / 10, unit: 'mm' }],
    where: placeAt(middleOf(worst.outline)),
    target: { label: 'off', unit: 'mm', better: 'lower', read: off, settled: (tried) => off(tried) <= offMm },
    remedies: [
      {
        id: 'take-height',
        // Where its piles come to in the mean; or as low as the lowest, which all can be.
        candidates: [...new Set([worst.rearZMm, Math.min(worst.rearZMm, ...topsOf(worst, results.scene.sheets))])].map(
          (height): Candidate => ({
            label: `${worst.sheet.name} at ${mm(height)}`,
            change: withSheet(results, worst.index, { heightMm: Math.round(10 * height) / 10 }),
          }),
        ),
      },
    ],
  };
};

/** Metal so near bare strip that its pads may touch it (mm). */
const metalNearMm = 6;

const metalNear = (results: LayersResults): readonly StandingSheet[] => {
  const { scene, runs, materials, geometry } = results;
  if (materials.strip.protection !== 'bare') return [];
  const { inside } = geometry;
  return scene.sheets.filter(({ stock, outline, rearZMm, frontZMm }) => {
    if (stock.stuff !== 'metal' && stock.stuff !== 'composite') return false;
    const bounds = outlineBounds(outline)!;
    const reaches =
      bounds.x < metalNearMm - inside.widthMm / 2 ||
      bounds.x + bounds.width > inside.widthMm / 2 - metalNearMm ||
      bounds.y < metalNearMm - inside.heightMm / 2 ||
      bounds.y + bounds.height > inside.heightMm / 2 - metalNearMm;
    return runs.segments.some(({ on, path }) => {
      const z = path[0]![2];
      return on === 'back'
        ? rearZMm - z < metalNearMm
        : reaches && rearZMm - metalNearMm < z && frontZMm + metalNearMm > z - materials.strip.widthMm;
    });
  });
};

/** A metal sheet beside bare pads and joints. */
export const metalAtJoints: Rule<LayersResults> = ({ results }) => {
  const [first] = metalNear(results);
  if (first === undefined) return null;
  return {
    id: 'metal-at-joints',
    severity: 'fix',
    step: 'case',
    what: `${first.sheet.name} is metal, beside bare strip`,
    why: `${first.stock.name} comes within ${metalNearMm} mm of bare pads and joints: one that lifts is a short. Insulate every joint, keep the sheet off the rim, or cut it from wood.`,
    numbers: [{ label: 'nearer than', value: metalNearMm, unit: 'mm' }],
    where: placeAt(middleOf(first.outline)),
    target: noneLeft('metal sheets at bare strip', (tried) => metalNear(tried).length),
    remedies: [
      {
        id: 'wooden-sheet',
        candidates: ['ply-3', 'mdf-3'].map((materialId): Candidate => ({
          label: `${first.sheet.name} from ${materialId === 'ply-3' ? 'birch plywood 3 mm' : 'MDF 3 mm'}`,
          change: withSheet(results, first.index, { materialId }),
        })),
      },
    ],
  };
};
