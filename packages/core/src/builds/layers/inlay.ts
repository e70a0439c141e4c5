import { kerfOf } from '../../document/catalogue/index.js';
import { slotLadder } from '../../making/fits/index.js';
import type { CutPart } from '../../making/parts/index.js';
import { inlayPart, ladders } from '../common/inlays.js';
import type { LayersMaterials } from './materials.js';
import type { Scene, StandingSheet } from './scene.js';

/** The letters that are let into a sheet of a scene; none where nothing is. */
export const inlayParts = ({ sheet, inlay, index }: StandingSheet, { tool }: LayersMaterials): readonly CutPart[] =>
  inlay === null ? [] : inlayPart(inlay, tool, { id: `inlay-${index + 1}`, name: `Inlays of ${sheet.name}` });

/** Test strips for the slots of combs, one for every thickness that goes into them. */
const slotLadders = ({ sheets, combs }: Scene, { tool }: LayersMaterials): readonly CutPart[] => {
  if (combs === null) return [];
  const named = { name: combs.stock.name, kerfMm: kerfOf(tool, combs.stock.stuff) };
  const thick = [...new Set(combs.each[0]!.holds.map((at) => sheets[at]!.stock.thicknessMm))];
  return thick.map((thicknessMm, at) => {
    const ladder = slotLadder(combs.overMm, thicknessMm, named);
    return at === 0 ? ladder : { ...ladder, id: `${ladder.id}-${at + 1}` };
  });
};

/** Ladders to try the fits of a scene on: of its inlays, and of its combs. */
export const fitLadders = (scene: Scene, materials: LayersMaterials): readonly CutPart[] => [
  ...ladders(
    scene.sheets.flatMap(({ stock, inlay }) => (inlay === null ? [] : [{ stock, inlay }])),
    materials.tool,
  ),
  ...slotLadders(scene, materials),
];
