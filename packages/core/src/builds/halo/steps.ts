import { clampMinutes, glueWords, surfaceSteps, type Finishing } from '../../making/finishing/index.js';
import { backerSteps } from '../letters/backer/steps.js';
import { fixingWords, hangingCaution, hangSteps, peopleToHang, type Hang } from '../../making/hanging/index.js';
import { cornerWords } from '../../light/laying/index.js';
import type { Circuit } from '../../power/circuit/index.js';
import type { Jumper } from '../../light/runs/index.js';
import type { CutPart } from '../../making/parts/index.js';
import type { ToldStep } from '../../making/steps/index.js';
import { counted, mm, signStep, step } from '../common/step-words.js';
import { joiningCaution, joiningWords, wiringSteps } from '../common/wiring-steps.js';
import { blindHoleMm, type HaloFacts } from './parts.js';
import { isPrinted, printOf } from './printing.js';

/** What the steps are written from. */
export interface HaloStepFacts extends HaloFacts {
  readonly parts: readonly CutPart[];
  readonly circuit: Circuit;
  readonly jumpers: readonly Jumper[];
  readonly hang: Hang | null;
  readonly finishing: Finishing;
}

const toolCautions = {
  knife: null,
  beam: 'Never laser PVC or foam board of unknown kind: it gives off chlorine. Ventilate, and watch for fire.',
  bit: 'Router by its maker’s manual; hold the sheet down all over; eye, ear and dust protection.',
  nozzle: 'Nozzle and bed are hot. Ventilate: printing gives off fumes and fine dust.',
} as const;

type LetterFacts = Pick<HaloStepFacts, 'parts' | 'materials' | 'geometry' | 'assembly' | 'finishing'>;

/** What a printer of 0.4 mm lays down in an hour (kg), and what it wants of a person for each shell; typical. */
const printedKgPerHour = 0.03;
const minutesByShell = 6;

const printing = (
  parts: readonly CutPart[],
  { materials, assembly }: Pick<LetterFacts, 'materials' | 'assembly'>,
): ToldStep => {
  const { perimeters, solidLayers, layerMm } = printOf(assembly.letters);
  const kg = parts.reduce((sum, part) => sum + (part.stock === 'print' ? part.kg * part.count : 0), 0);
  return step(
    'cut',
    'lettering',
    `Print ${counted(parts.length, 'part')} of ${materials.board.name.toLowerCase()}`,
    `Front down, ${counted(perimeters, 'perimeter')}, ${counted(solidLayers, 'solid layer')}, layers of ${mm(layerMm)}; sockets for the posts are in the print. Try one post in its socket first.`,
    10 + minutesByShell * parts.length,
    toolCautions[materials.tool.kind],
    Math.round((60 * kg) / printedKgPerHour),
  );
};

const cutting = (
  { materials, geometry, assembly, finishing }: Omit<LetterFacts, 'parts'>,
  fronts: number,
  holes: number,
): readonly ToldStep[] => [
  step(
    'cut',
    'lettering',
    `Cut ${counted(fronts, 'letter')} from ${materials.board.name.toLowerCase()}`,
    `${materials.tool.name}; interior cut-outs first, outlines last. ${assembly.artwork.mirrored === true ? 'Drawings are mirrored: back up.' : 'Drawings are seen from the front.'}`,
    15 + 9 * fronts,
    toolCautions[materials.tool.kind],
  ),
  ...(geometry.wallMm > 0
    ? [
        step(
          'cut',
          'returns',
          'Cut the returns and bend them round the fronts',
          `${mm(geometry.frontZMm - geometry.rearZMm - geometry.frontMm - geometry.backMm)} wide, ${mm(geometry.wallMm)} thick; start at an inside corner, lap at the bottom.${glueWords(finishing, 'returns')}`,
          20 * fronts,
          materials.board.stuff === 'metal' || materials.board.stuff === 'composite'
            ? 'Cut edges of sheet metal: gloves. Adhesive: ventilate.'
            : 'Adhesive: ventilate.',
          clampMinutes(finishing, 'returns', 24 * 60),
        ),
      ]
    : []),
  step(
    'cut',
    'post-holes',
    `Drill ${counted(holes, 'blind hole')} for the posts`,
    `By the drill template on the backs, or by the tool in the same setting as the outline: ${mm(blindHoleMm(geometry.backMm > 0 ? geometry.backMm : geometry.frontMm))} deep. Set a depth stop: they must not come through.`,
    5 + 3 * holes,
    null,
  ),
];

const letters = ({ parts, materials, geometry, assembly, posts, finishing }: HaloStepFacts): readonly ToldStep[] => {
  const fronts = parts.filter(({ id }) => /^letter-\d+[a-z]?$/.test(id)).length;
  const holes = posts.reduce((sum, part) => sum + part.posts.length, 0);
  const printed = isPrinted(materials.board);
  return [
    ...(printed
      ? [printing(parts, { materials, assembly })]
      : cutting({ materials, geometry, assembly, finishing }, fronts, holes)),
    step(
      'finish',
      'finish-letters',
      printed ? 'Clean and sand the shells' : 'Sand fronts and edges',
      'Clean edges show in the glow: no fuzz, no drips.',
      8 * fronts,
      'Dust mask for sanding.',
    ),
    ...surfaceSteps(finishing, 'fronts'),
    step(
      'finish',
      'backs',
      `Backs: ${materials.backFinish.name.toLowerCase()}`,
      `They throw light back at the wall: ${Math.round(materials.backFinish.reflectance * 100)} % of it.`,
      4 * fronts,
      null,
      materials.backFinish.id === 'matt-white' ? 120 : 0,
    ),
  ];
};

const wire = ({ runs, circuit, jumpers, materials, assembly }: HaloStepFacts): readonly ToldStep[] => {
  const open = jumpers.filter(({ openMm }) => openMm > 0);
  const corners = cornerWords(runs.corners);
  return [
    step(
      'wire',
      'strip',
      `Cut and lay ${counted(runs.segments.length, 'segment')} of ${materials.strip.form === 'modules' ? 'module string' : 'strip'}`,
      `Cut on the marks only (every ${mm(materials.strip.cutPitchMm)}); ${mm(assembly.light.setbackMm)} from the edge; numbers and arrows as on the strip template. ${corners === '' ? '' : `${corners}. `}Test each segment before its backing comes off.`,
      10 + 6 * runs.segments.length,
      null,
    ),
    step(
      'wire',
      'jumpers',
      `Wire ${counted(jumpers.length, 'jumper')} from the lead and from segment to segment`,
      `${open.length > 0 ? `${counted(open.length, 'jumper')} cross open wall: through the wall, a hole at each end, or sleeved in its colour. ` : ''}Colours as in each chain below. ${joiningWords(circuit)}`,
      8,
      joiningCaution(circuit),
    ),
    ...wiringSteps(circuit),
  ];
};

const drillWall = (hang: Hang | null, holes: number, wideMm: number, place: string): ToldStep => ({
  ...step(
    'hang',
    'drill-wall',
    `Drill the wall: ${counted(holes, 'post')} by the template`,
    `${hang === null ? '' : `${fixingWords(hang)}. `}Hang the template by its level lines, not by the ceiling; set every post to the same depth.`,
    10 + 5 * holes,
    hangingCaution(hang?.kg ?? 0, wideMm, place),
  ),
  work: { people: peopleToHang(hang?.kg ?? 0, wideMm) },
});

/** The build list of halo letters. Times are typical and meant to be replaced by the shop’s own. */
export const haloSteps = (facts: HaloStepFacts): readonly ToldStep[] => {
  const { circuit, materials, brief, posts, geometry, hang, assembly, parts, finishing } = facts;
  const alone = assembly.backer === null || assembly.backer === undefined;
  const holes = posts.reduce((sum, part) => sum + part.posts.length, 0);
  return [
    step(
      'prepare',
      'template',
      'Print the drill and strip templates and check their scale',
      'Print at 100 %; the square must measure 50 mm both ways. Tape the tiles by their marks.',
      20,
    ),
    step(
      'prepare',
      'bench-test',
      'Try the strip on the bench, in front of a segment of the wall’s finish',
      `Hold an offcut ${mm(geometry.standoffMm)} off it. Join ${materials.strip.name} to the ${circuit.supply?.name ?? 'supply'} for a minute, uncoiled.`,
      15,
      'Do not leave strip lit while it is coiled: it overheats. Mains wiring is for a licensed electrician; use a listed supply.',
    ),
    ...letters(facts),
    ...backerSteps(assembly.backer, parts, finishing),
    ...(alone ? [] : hangSteps(hang, brief.place).sawn),
    ...(alone ? [] : hangSteps(hang, brief.place).fixed),
    ...wire(facts),
    signStep(
      'prove',
      'soak',
      'Full power for an hour against a board',
      `Expect ${circuit.amps.toFixed(2)} A at ${circuit.voltageV} V. Note current and strip temperature.`,
      15,
      'Do not leave a new sign lit unattended.',
      60,
    ),
    ...(alone ? [drillWall(hang, holes, geometry.outside.widthMm, brief.place)] : hangSteps(hang, brief.place).put),
    step(
      'hang',
      alone ? 'hang' : 'letters-on',
      alone ? 'Set the letters on their posts, lead last' : 'Set the letters on their backer, lead last',
      `${circuit.lead.name}, ${mm(brief.leadLengthMm)}; in-line fuse ${circuit.fuseA} A at the supply.`,
      20 + 4 * posts.length,
      'Mains side, hard-wired supplies and outdoor signs: local electrical and sign codes, a licensed electrician. Heavy or overhead work: a structural professional.',
    ),
    step(
      'prove',
      'even',
      'Look at it in the dark and by day',
      `From ${mm(brief.readingDistanceMm)}: no scallops, no post shadows, no bright wire between letters.`,
      10,
    ),
  ];
};
