import { clampMinutes, glueWords, surfaceSteps, type Finishing } from '../../making/finishing/index.js';
import { backerSteps } from '../letters/backer/steps.js';
import { hangSteps, type Hang } from '../../making/hanging/index.js';
import type { Circuit } from '../../power/circuit/index.js';
import type { Jumper } from '../../light/runs/index.js';
import type { CutPart } from '../../making/parts/index.js';
import type { ToldStep } from '../../making/steps/index.js';
import { counted, mm, signStep, step } from '../common/step-words.js';
import { joiningCaution, joiningWords, wiringSteps } from '../common/wiring-steps.js';
import type { FaceLitFacts } from './parts.js';

/** What the steps are written from. */
export interface FaceLitStepFacts extends Omit<FaceLitFacts, 'shaping' | 'wireHoles'> {
  readonly parts: readonly CutPart[];
  readonly circuit: Circuit;
  readonly jumpers: readonly Jumper[];
  readonly hang: Hang | null;
  readonly finishing: Finishing;
}

const toolCautions = {
  knife: null,
  beam: 'Ventilate when acrylic is cut by laser, and watch for fire. Never laser PVC of unknown kind: it gives off chlorine.',
  bit: 'Router by its maker’s manual; hold the sheet down all over; eye, ear and dust protection.',
  nozzle: 'Nozzle and bed are hot. Ventilate: printing gives off fumes and fine dust.',
} as const;

/** The build list of face-lit letters. Times are typical and meant to be replaced by the shop’s own. */
export const faceLitSteps = (facts: FaceLitStepFacts): readonly ToldStep[] => {
  const { parts, circuit, jumpers, materials, geometry, assembly, runs, letters, brief, hang, finishing } = facts;
  const returns = parts.filter(({ stock }) => stock === 'return');
  const count = letters.length;
  const { cans } = assembly;
  return [
    step(
      'prepare',
      'template',
      'Print the strip template and check its scale',
      'Print at 100 %; the square must measure 50 mm both ways. Tape the tiles by their marks.',
      15,
    ),
    step(
      'prepare',
      'bench-test',
      'Try the strip on the bench under an offcut of the face',
      `Hold it ${mm(geometry.depthInsideMm)} over the strip. Join ${materials.strip.name} to the ${circuit.supply?.name ?? 'supply'} for a minute, uncoiled.`,
      15,
      'Do not leave strip lit while it is coiled: it overheats. Mains wiring is for a licensed electrician; use a listed supply.',
    ),
    step(
      'cut',
      'lettering',
      `Cut ${counted(count, 'face')} and ${counted(count, 'back')}`,
      `${materials.tool.name}; counters first, outlines last. ${cans.fit === 'inset' ? `Faces play ${mm(cans.playMm)} in the returns: try the first before cutting the rest.` : 'Faces are as large as the letters; the trim reaches round them.'}`,
      20 + 14 * count,
      toolCautions[materials.tool.kind],
    ),
    step(
      'cut',
      'returns',
      `Cut ${counted(returns.length, 'return')} ${mm(geometry.returnWidthMm)} wide and bend them`,
      'Marks on the drawings say where each fold and roll begins and ends, from the start of the strip. Fold in order, close with the lap at the bottom.',
      12 + 25 * returns.length,
      'Edges of sheet metal: gloves. Eye protection.',
    ),
    step(
      'assemble',
      'join',
      'Set the returns round the backs',
      `All round; no gap that light finds.${glueWords(finishing, 'returns')}`,
      18 * count,
      'Adhesive: ventilate; no flame or spark.',
      clampMinutes(finishing, 'returns', 12 * 60),
    ),
    ...surfaceSteps(finishing, 'returns'),
    ...backerSteps(assembly.backer, parts, finishing),
    ...hangSteps(hang, brief.place).sawn,
    ...hangSteps(hang, brief.place).fixed,
    step(
      'finish',
      'lining',
      `Line the inside: ${materials.lining.name}`,
      materials.lining.price === 0 ? 'Nothing to do; dust.' : 'Backs and returns, seams too.',
      materials.lining.price === 0 ? 5 : 10 * count,
      materials.lining.id === 'matt-white' ? 'Ventilate while painting; no flame or spark near solvents.' : null,
      materials.lining.id === 'matt-white' ? 240 : 0,
    ),
    step(
      'wire',
      'strip',
      `Cut and lay ${counted(runs.segments.length, 'part')} of strip`,
      `Cut on the marks only (every ${mm(materials.strip.cutPitchMm)}); ${mm(assembly.light.setbackMm)} from the returns; numbers and arrows as on the template. Test each part before its backing comes off.`,
      10 + 6 * runs.segments.length,
    ),
    step(
      'wire',
      'jumpers',
      `Wire ${counted(jumpers.length, 'jumper')}; from letter to letter through the backs`,
      `Grommet in every hole; colours as in each chain below. ${joiningWords(circuit)}`,
      8,
      joiningCaution(circuit),
    ),
    ...wiringSteps(circuit),
    signStep(
      'prove',
      'soak',
      'Full power for an hour before closing',
      `Expect ${circuit.amps.toFixed(2)} A at ${circuit.voltageV} V. Note current, strip and face temperature.`,
      15,
      'Do not leave a new sign lit unattended.',
      60,
    ),
    ...hangSteps(hang, brief.place).put,
    step(
      'hang',
      'lead',
      'Join the lead, supply last',
      `${circuit.lead.name}, ${mm(brief.leadLengthMm)}; in-line fuse ${circuit.fuseA} A at the supply.`,
      15,
      'Mains side, hard-wired supplies and outdoor signs: local electrical and sign codes, a licensed electrician.',
    ),
    step(
      'assemble',
      'close',
      cans.fit === 'inset' ? 'Set the faces' : 'Lay the faces on and press the trim round',
      'So that they can be opened again: strip fails before letters do.',
      12 * count,
    ),
    step(
      'prove',
      'even',
      'Look at them in the dark and by day',
      `From ${mm(brief.readingDistanceMm)}: no dots, no dark ends, no light at the seams.`,
      10,
    ),
  ];
};
