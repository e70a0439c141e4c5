import { fieldsOf, pathOf, set } from '../../document/design/index.js';
import type { Tryout } from '../common/tryout.js';
import { faceOptions } from './face-options.js';
import type { BoxResults } from './results.js';
import type { BoxAssembly } from './schema.js';

const fieldsAt = (index: number) => fieldsOf<BoxAssembly>(`assemblies.${index}`);

/** How many times the strip is laid: rows, or turns. */
const rowsField = ({ light }: BoxAssembly) => (light.layout === 'rows' ? 'rowCount' : 'turnCount');

/** What of a case with a lit face may be tried in many combinations. */
export const boxTryout: Tryout<BoxResults> = {
  set: ({ index, assembly }, depthMm, rows, liningId) => {
    const field = fieldsAt(index);
    return [
      set(field.case.depthInsideMm, depthMm),
      set(field.light[rowsField(assembly)], rows),
      set(field.case.liningId, liningId),
    ];
  },
  faces: faceOptions,
  facePath: (index) => `${pathOf(fieldsAt(index).face)}.`,
  start: (assembly) => {
    const inRows = assembly.light.layout === 'rows';
    return {
      depthMm: assembly.case.depthInsideMm,
      rows: assembly.light[rowsField(assembly)],
      moreRows: inRows ? 4 : 2,
      rowsWord: inRows ? 'Rows' : 'Turns',
      liningId: assembly.case.liningId,
    };
  },
  read: ({ geometry, assembly, materials }) => ({
    depthMm: geometry.inside.depthMm,
    rows: assembly.light[rowsField(assembly)],
    lining: materials.lining.name,
  }),
  roomRules: ['too-shallow', 'no-strip'],
};
