import type { CutPart } from '../../making/parts/index.js';
import { inlayPart, ladders } from '../common/inlays.js';
import type { LayersMaterials } from './materials.js';
import type { Scene, StandingSheet } from './scene.js';

/** The letters that are let into a sheet of a scene; none where nothing is. */
export const inlayParts = ({ sheet, inlay, index }: StandingSheet, { tool }: LayersMaterials): readonly CutPart[] =>
  inlay === null ? [] : inlayPart(inlay, tool, { id: `inlay-${index + 1}`, name: `Inlays of ${sheet.name}` });

/** Ladders to try the fits of a scene on. */
export const fitLadders = ({ sheets }: Scene, { tool }: LayersMaterials): readonly CutPart[] =>
  ladders(
    sheets.flatMap(({ stock, inlay }) => (inlay === null ? [] : [{ stock, inlay }])),
    tool,
  );
