import { clampMinutes, glueWords, surfaceSteps, type Finishing } from '../../../making/finishing/index.js';
import type { CutPart } from '../../../making/parts/index.js';
import type { ToldStep } from '../../../making/steps/index.js';
import { counted, mm, step } from '../../common/step-words.js';
import type { BackerDesign } from './schema.js';

/** Steps of a backer, before letters are set on it; none where there is none. */
export const backerSteps = (
  design: BackerDesign | null | undefined,
  parts: readonly CutPart[],
  finishing: Finishing,
): readonly ToldStep[] => {
  const board = parts.find(({ id }) => id === 'backer');
  if (design === null || design === undefined || board === undefined) return [];
  const sides = parts.filter(({ id }) => id.startsWith('backer-'));
  const holes = board.layers.filter(({ operation }) => operation === 'drill').flatMap(({ shapes }) => shapes).length;
  const [first] = sides;
  return [
    step(
      'cut',
      'backer',
      `Cut the ${board.name.toLowerCase()} ${mm(board.widthMm)} × ${mm(board.heightMm)}, drill ${counted(holes, 'hole')}`,
      `${board.materialName}; ${board.note}.`,
      20 + 2 * holes,
      'Table saw or track saw: guard and riving knife on; eye, ear and dust protection.',
    ),
    ...(first === undefined
      ? []
      : [
          step(
            'assemble',
            'clad-box',
            'Join the box and clad it',
            `${sides.map(({ name, widthMm }) => `${name} ${mm(widthMm)}`).join('; ')}, ${mm(first.heightMm)} deep. Square by its diagonals; cladding on top, weighted.${design.trimmed === true && (design.overMm ?? 0) > 0 ? ' Trim it flush with a bearing bit once the glue is hard.' : ''}${glueWords(finishing, 'cladding')}`,
            45,
            design.trimmed === true ? 'Router by its maker’s manual; eye, ear and dust protection.' : null,
            clampMinutes(finishing, 'cladding', 60),
          ),
        ]),
    ...surfaceSteps(finishing, 'backer'),
  ];
};
