import { failure, success, type Result } from '../../base/result.js';
import {
  findItem,
  toolIn,
  type Catalogue,
  type FaceSheet,
  type Film,
  type Pane,
  type Tool,
} from '../../document/catalogue/index.js';
import { findBoxMaterials } from '../boxes/materials.js';
import type { FrameMaterials } from './results.js';
import type { FrameAssembly } from './schema.js';

/** The mirror where a design names none, and what takes silver off. */
export const usualMirror = 'mirror-glass-4';
export const usualSilverTool = 'blast';
/** Paint and silver are gone and the glass is frosted at this depth (mm); typical. */
const frostedMm = 0.1;

/** A mirror shows the room in front of it: half of the light of the place comes back from there; typical. */
const roomReturns = 0.5;
/** Two faces of clear glass or acrylic throw back a twelfth; typical. */
const clearPasses = 0.92;
const frostedPasses = 0.87;

/** The paint on the back of a mirror gives so much back into the frame; typical. */
export const mirrorBackReflects = 0.35;

/** The silver of a mirror as what covers a lit face: nothing goes through, the room is seen in it. */
const silverOf = ({ silver = 0.9, price }: Pane): Film => {
  const seen = silver * roomReturns;
  return {
    id: 'silver',
    name: 'Silver of the mirror',
    provenance: 'typical',
    price,
    transmittanceRgb: [0, 0, 0],
    reflectanceRgb: [seen, seen, seen],
  };
};

/** Frost of a blast or of paper through a stencil spreads light as sanding does; a beam leaves the glass all but clear; typical. */
const frost = {
  blasted: { sigmaDeg: 15, hazeShare: 0.985 },
  sanded: { sigmaDeg: 10.5, hazeShare: 0.97 },
} as const;
const clear = { sigmaDeg: 1, hazeShare: 0.01 } as const;

/** A mirror where its silver is off, frosted or clear by how that was taken off. */
const openFace = (pane: Pane, { engraves }: Pick<Tool, 'engraves'>): FaceSheet => {
  const frosted = engraves?.method === 'blasted' || engraves?.method === 'sanded' ? frost[engraves.method] : null;
  // A frosted side loses some of what crosses it.
  const passes = frosted === null ? clearPasses : frostedPasses;
  return {
    ...pane,
    transmittance: passes,
    reflectance: 1 - passes,
    scatter: { kind: 'lobe', ...(frosted ?? clear) },
  };
};

/** Ink on film: letters of a print are all but opaque. */
const ink: Film = {
  id: 'ink',
  name: 'Printed black',
  provenance: 'typical',
  price: 0,
  transmittanceRgb: [0.02, 0.02, 0.02],
  reflectanceRgb: [0.04, 0.04, 0.04],
};

const path = { mirror: 'shows.mirrorId', mode: 'artwork.mode' } as const;

/** Finds every item that a frame names; each unknown id becomes a problem with its field. */
export const findFrameMaterials = (assembly: FrameAssembly, catalogue: Catalogue): Result<FrameMaterials> => {
  const { shows, artwork } = assembly;
  const boxed = findBoxMaterials(assembly, catalogue);
  if (!boxed.ok) return boxed;
  if (shows.kind === 'print')
    return artwork.mode === 'opaque-letters'
      ? success({ ...boxed.value, film: ink, mirror: null })
      : failure({
          path: path.mode,
          message: 'is of films; on a print letters are dark: choose what the frame shows once more',
        });
  if (artwork.mode !== 'lit-letters')
    return failure({
      path: path.mode,
      message:
        'leaves nothing of the mirror: its silver is off where light is to come through; choose what the frame shows once more',
    });
  const mirror = findItem(catalogue.panes, shows.mirrorId ?? usualMirror, path.mirror);
  if (!mirror.ok) return mirror;
  if (mirror.value.silver === undefined)
    return failure({ path: path.mirror, message: `is ${mirror.value.name}, which has no silver; choose a mirror` });
  const tool = findItem(catalogue.tools, artwork.toolId ?? usualSilverTool, 'artwork.toolId');
  if (!tool.ok) return tool;
  const workpiece = {
    stuff: mirror.value.stuff,
    thicknessMm: frostedMm,
    name: `the back of ${mirror.value.name.toLowerCase()}`,
  };
  return success({
    ...boxed.value,
    face: openFace(mirror.value, tool.value),
    film: silverOf(mirror.value),
    tool: toolIn(tool.value, workpiece),
    workpiece,
    mirror: mirror.value,
  });
};
