import { stripsOf } from '../../light/runs/index.js';
import { clampMinutes, glueWords, surfaceSteps, type Finishing } from '../../making/finishing/index.js';
import { hangSteps, type Hang } from '../../making/hanging/index.js';
import { cornerWords } from '../../light/laying/index.js';
import type { Circuit } from '../../power/circuit/index.js';
import type { CutPart } from '../../making/parts/index.js';
import type { ToldStep } from '../../making/steps/index.js';
import { counted, mm, signStep, step } from '../common/step-words.js';
import { joiningCaution, joiningWords, wiringSteps } from '../common/wiring-steps.js';
import { passesFor } from './parts.js';
import type { GrooveFacts } from './results.js';
import { wireHoleMm } from './runs.js';
import { toolCautions } from '../common/tool-cautions.js';

/** What the steps are written from. */
export interface GrooveStepFacts {
  readonly own: GrooveFacts;
  readonly circuit: Circuit;
  readonly parts: readonly CutPart[];
  readonly hang: Hang | null;
  readonly finishing: Finishing;
}

/** Minutes that a bit takes for a metre of groove at a pass; typical. */
const minutesPerMetre = 2;

const prepare = ({ own, circuit }: GrooveStepFacts): readonly ToldStep[] => {
  const { materials, geometry } = own;
  const { groove } = geometry;
  return [
    {
      ...signStep(
        'prepare',
        'bench-test',
        'Try strip and cover on the bench before anything is cut',
        `Join ${materials.strip.name} to the ${circuit.supply?.name ?? 'supply'} and light it for a minute, uncoiled${materials.cover === null ? '' : `; lay ${materials.cover.name.toLowerCase()} over it and look from the reading distance`}.`,
        10,
        'Do not leave strip lit while it is coiled: it overheats. Mains wiring is for a licensed electrician; use a listed supply.',
      ),
    },
    step(
      'prepare',
      'test-groove',
      'Practise on an offcut: a straight, a bend, a crossing',
      `Groove ${mm(groove.widthMm)} wide and ${mm(groove.depthMm)} deep in the same sheet. Press in ${groove.holds
        .slice(0, 3)
        .map(({ what, mm: wide }) => `${what} (${mm(wide)})`)
        .join(', ')}: each must go in by hand and stay. Change the width in the design, not with a file in the sign.`,
      20,
      toolCautions[materials.tool.kind],
    ),
  ];
};

const cutSteps = ({ own, parts }: GrooveStepFacts): readonly ToldStep[] => {
  const { materials, geometry, assembly, runs } = own;
  const { sheet, tool, back } = materials;
  const { groove, walls, leastWallMm } = geometry;
  const through = assembly.carrier.kind === 'two-layer';
  const clear = assembly.carrier.kind === 'clear';
  const passes = passesFor(groove.depthMm, tool.cutMm);
  const metres = geometry.lines.reduce((total, { lengthMm }) => total + lengthMm, 0) / 1000;
  const thin = [walls.between, walls.toEdge].some((wall) => wall !== null && wall.mm < 1.5 * leastWallMm);
  const slow = thin
    ? ` Go at half the feed where a wall is thin (${mm(Math.min(walls.between?.mm ?? Infinity, walls.toEdge?.mm ?? Infinity))} at the least), and leave those until last.`
    : '';
  const carriers = parts.filter(({ id }) => id.startsWith('carrier-'));
  return [
    {
      ...step(
        'cut',
        'lettering',
        through ? `Cut the lines through the front layer` : `Rout the grooves${clear ? ' from behind' : ''}`,
        through
          ? `${tool.name}; ${mm(groove.widthMm)} wide, all lines before the outline. Middles of closed lines fall out: number them, they are glued back on the back layer.${slow}`
          : `${tool.name}, ${mm(groove.widthMm)} wide, ${mm(groove.depthMm)} deep in ${counted(passes.count, 'pass').replace('passs', 'passes')} of ${mm(passes.mm)}; ${clear ? 'back up, the drawing is mirrored; the front film stays on' : 'front up'}.${slow} Vacuum the groove out between passes.`,
        Math.round(15 + minutesPerMetre * metres * (through ? 1 : passes.count)),
        toolCautions[tool.kind],
      ),
      shows: { view: 'letters' },
    },
    ...(clear
      ? []
      : [
          step(
            'cut',
            'holes',
            `Drill ${counted(runs.holes.length, 'wire hole')}`,
            `${mm(wireHoleMm)} through the floor at both ends of every run, as drawn; from the front onto a block. Break their edges: wire chafes.`,
            5 + 2 * runs.holes.length,
          ),
        ]),
    {
      ...step(
        'cut',
        'outline',
        `Cut ${assembly.carrier.kind === 'letters' ? 'the letters' : 'the outline'}${back === null ? '' : ' and what is behind'}`,
        `${carriers.length > 1 ? `${counted(carriers.length, 'part')} with their ${assembly.carrier.registration === 'pins' ? 'pin marks' : 'tabs'}. ` : ''}${sheet.name}, ${mm(geometry.outside.widthMm)} × ${mm(geometry.outside.heightMm)} in all. Outline last, with tabs or tape, so that nothing moves.`,
        20 + 5 * carriers.length,
        toolCautions[tool.kind],
      ),
      shows: { view: 'sheets', parts: parts.map(({ name }) => name) },
    },
  ];
};

const finish = ({ own, finishing, parts }: GrooveStepFacts): readonly ToldStep[] => {
  const { assembly, materials, geometry, runs } = own;
  const { cover, strip, sheet } = materials;
  const wood = sheet.stuff === 'wood';
  const corners = cornerWords(runs.corners);
  const several = geometry.parts.length > 1 && assembly.carrier.kind !== 'letters';
  return [
    step(
      'finish',
      'dry-lay',
      'Lay everything dry, before any paint',
      `Strip cut to its lengths, ${cover === null ? 'no cover' : cover.name.toLowerCase()}, end caps and wires through their holes: all must go in by hand.${corners === '' ? '' : ` ${corners[0]!.toUpperCase()}${corners.slice(1)}.`} Paint makes a groove narrower by about 0.1 mm a coat on each wall.`,
      15 + 3 * runs.segments.length,
    ),
    ...(several
      ? [
          step(
            'finish',
            'seams',
            `Glue the ${counted(geometry.parts.length, 'part')} edge to edge`,
            `Flat on film, weight on both sides of the seam, grooves free of glue: a strip of card in each until it grips.${glueWords(finishing, 'seams')}`,
            25,
            'Adhesive: ventilate.',
            clampMinutes(finishing, 'seams', 120),
          ),
        ]
      : []),
    ...(assembly.carrier.kind === 'two-layer'
      ? [
          step(
            'finish',
            'layers',
            'Glue the back layer on',
            `Thin, from the middle outward, none within 5 mm of a groove or a hole; flat under even weight all over, or it bows.${parts.length > 2 ? ' It covers the seams of the front.' : ''}${glueWords(finishing, 'layers')}`,
            30,
            'Adhesive: ventilate.',
            clampMinutes(finishing, 'layers', 240),
          ),
        ]
      : []),
    ...(wood
      ? [
          step(
            'finish',
            'prime-edges',
            'Sand and prime, edges and groove walls first',
            'Cut edges drink paint: prime them twice. Fuzz in the groove shows as soon as it is lit.',
            20,
            'Dust mask for sanding.',
          ),
        ]
      : []),
    ...surfaceSteps(finishing, 'front'),
    ...surfaceSteps(finishing, 'grooves'),
    step(
      'wire',
      'test-pieces',
      `Test ${counted(runs.segments.length, 'piece')} of strip before any is fixed`,
      `Cut on the marks only (every ${mm(strip.cutPitchMm)}), numbered; each lit for a minute by clips at its ends, looked at for dead LEDs. It is found now or through the cover.`,
      5 + 2 * runs.segments.length,
    ),
  ];
};

/** Every kind of strip, with the segments that are of it where there are several. */
const stripNames = ({ materials, runs }: GrooveFacts): string => {
  const kinds = stripsOf(materials.strip, runs);
  return kinds.length === 1
    ? kinds[0]!.strip.name
    : kinds
        .map(({ strip, runs: own }) => `${strip.name}: ${own.segments.map(({ number }) => number).join(', ')}`)
        .join('; ');
};

const spareWords = ({ assembly }: GrooveFacts): string => {
  const { spareMm = 0 } = assembly.light;
  return spareMm > 0 ? `Cut ${mm(spareMm)} past the mark at both ends, to solder on. ` : '';
};

const wire = ({ own, circuit }: GrooveStepFacts): readonly ToldStep[] => {
  const { materials, brief, assembly, runs } = own;
  const { cover } = materials;
  const { leadExit, leadLengthMm } = brief;
  return [
    signStep(
      'wire',
      'solder',
      `Wire ${counted(circuit.chains.length, 'chain')}: ${counted(circuit.wires.length, 'wire')} behind`,
      `${materials.sheet.clear ? 'Every wire lies on the back of the sheet' : 'Every wire goes down a hole at its run’s end and along the back'}, never over an edge and never in the light. ${joiningWords(circuit)}`,
      10,
      joiningCaution(circuit),
    ),
    ...wiringSteps(circuit),
    step(
      'wire',
      'strip',
      `Lay ${counted(runs.segments.length, 'segment')} of strip in their grooves`,
      `${stripNames(own)}. ${spareWords(own)}${assembly.groove.lies === 'edge' ? 'On its edge, LEDs to the same side all along.' : 'Flat on the floor.'} ${(assembly.light.hold ?? 'tape') === 'tape' ? 'On its own tape, the floor wiped and primed' : 'By clips or dabs of neutral silicone'}: it comes out again, and it will have to, for strip fails before the rest. No glue over its whole length, none in a hole.`,
      15,
    ),
    signStep(
      'prove',
      'soak',
      'Full power for an hour before it is closed',
      `Expect ${circuit.amps.toFixed(2)} A at ${circuit.voltageV} V. Note current and the warmth of strip and joints.`,
      15,
      'Do not leave a new sign lit unattended.',
      60,
    ),
    ...(cover === null
      ? []
      : [
          step(
            'assemble',
            'cover',
            cover.form === 'tube'
              ? 'Press the tube in, caps on its ends'
              : 'Press the cover in, from one end to the other',
            `Cut it ${mm(1)} over its length and press its ends together: it creeps back. Notch its inside where it will not bend. Not glued: it is the way to the strip.`,
            20,
          ),
        ]),
    signStep(
      'wire',
      'lead',
      'Bring the lead out and relieve its strain',
      `${leadExit === 'back' ? 'Behind the carrier' : `Out at the ${leadExit}, behind the carrier`}: ${circuit.lead.name}, ${mm(leadLengthMm)}; in-line fuse ${circuit.fuseA} A at the supply.`,
      12,
      'Mains side and hard-wired supplies: local electrical codes, a licensed electrician.',
    ),
  ];
};

const close = ({ own, hang }: GrooveStepFacts): readonly ToldStep[] => [
  ...hangSteps(hang, own.brief.place).sawn,
  ...hangSteps(hang, own.brief.place).fixed,
  ...hangSteps(hang, own.brief.place).put,
  step(
    'prove',
    'even',
    'Look at it in the dark and by day',
    `From ${mm(own.brief.readingDistanceMm)}: no dark ends, no dots, no light behind it from a wire or a hole.`,
    10,
  ),
];

/** The build list of strip in a groove. Times are typical and meant to be replaced by the shop’s own. */
export const grooveSteps = (facts: GrooveStepFacts): readonly ToldStep[] => [
  ...prepare(facts),
  ...cutSteps(facts),
  ...finish(facts),
  ...wire(facts),
  ...close(facts),
];
