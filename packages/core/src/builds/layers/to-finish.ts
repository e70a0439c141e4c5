import type { BeforeHanging } from '../../judging/results/index.js';
import { outlineArea } from '../../base/outlines/index.js';
import type { ToFinish } from '../../making/finishing/index.js';
import { boxToFinish } from '../boxes/to-finish.js';
import { glows } from '../common/sheet-stock.js';
import type { LayersResults } from './results.js';
import { trimM2 } from './trim.js';

/** Glue round a foot (mm). */
const footBeadMm = 30;

/** What of a scene is painted and glued: that of its case, both sides of its sheets, and the spacers. */
export const layersToFinish = (results: BeforeHanging<LayersResults>): ToFinish => {
  const found = boxToFinish(results);
  const { sheets, combs } = results.scene;
  const { trim } = results.materials;
  const painted = sheets.filter(({ stock, print }) => !glows(stock) && print === null);
  const m2 = painted.reduce((sum, { outline }) => sum + Math.abs(outlineArea(outline)), 0) / 1e6;
  const [first] = painted;
  const posts = sheets.reduce(
    (sum, { carried }) => sum + carried.reduce((count, each) => count + each.posts.length, 0),
    0,
  );
  const [any] = sheets;
  return {
    ...found,
    surfaces: [
      ...found.surfaces.map((surface) =>
        surface.id === 'outside' ? { ...surface, m2: surface.m2 + trimM2(results.geometry, trim) } : surface,
      ),
      ...(first === undefined
        ? []
        : [
            {
              id: 'sheets',
              name: 'sheets on both sides',
              stuff: first.stock.stuff,
              m2: 2 * m2,
              turned: true,
              masked: 'where spacers are glued on',
              showsGrain: false,
              comesFinished: false,
              fixed: null,
            },
          ]),
    ],
    bonds: [
      ...found.bonds,
      ...(trim === null
        ? []
        : [
            {
              id: 'trim',
              what: 'trim on the returns',
              between: [trim.board.stuff, results.materials.returnBoard.stuff] as const,
              mm: 2 * (results.geometry.outside.widthMm + results.geometry.outside.heightMm),
              fine: false,
            },
          ]),
      ...(combs === null
        ? []
        : [
            {
              id: 'combs',
              what: 'combs on the floor',
              between: [combs.stock.stuff, results.materials.returnBoard.stuff] as const,
              mm: combs.each.reduce((sum, { fromZMm, toZMm }) => sum + toZMm - fromZMm, 0),
              fine: false,
            },
          ]),
      ...(any === undefined || posts === 0
        ? []
        : [
            {
              id: 'spacers',
              what: 'spacers between the sheets',
              between: ['wood', any.stock.stuff] as const,
              mm: 2 * posts * footBeadMm,
              fine: false,
            },
          ]),
    ],
  };
};
