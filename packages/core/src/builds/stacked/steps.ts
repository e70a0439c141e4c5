import { clampMinutes, glueWords, surfaceSteps, type Finishing } from '../../making/finishing/index.js';
import { hangSteps, type Hang } from '../../making/hanging/index.js';
import type { LightRuns } from '../../light/runs/index.js';
import type { CutPart } from '../../making/parts/index.js';
import type { ToldStep } from '../../making/steps/index.js';
import type { Circuit } from '../../power/circuit/index.js';
import { fitWords } from '../common/inlays.js';
import { counted, mm, signStep, step } from '../common/step-words.js';
import { joiningCaution, joiningWords, wiringSteps } from '../common/wiring-steps.js';
import { heldAt, pinLengthsMm, pinMm } from './held-at.js';
import { ledgeRings, type PlateFacts } from './parts.js';
import { loopHeights } from './runs.js';
import type { StackedLight } from './schema.js';
import { toolCautions } from '../common/tool-cautions.js';

/** What the steps are written from. */
export interface StackedStepFacts extends PlateFacts {
  readonly light: StackedLight;
  readonly runs: LightRuns;
  readonly parts: readonly CutPart[];
  readonly circuit: Circuit;
  readonly hang: Hang | null;
  readonly finishing: Finishing;
}

const prepare = ({ materials, circuit }: StackedStepFacts): readonly ToldStep[] => [
  step(
    'prepare',
    'template',
    'Print the plan and check its scale',
    'Print at 100 %; the square must measure 50 mm both ways. It shows every ring, the strip, screws, pins and the lead.',
    10,
  ),
  signStep(
    'prepare',
    'bench-test',
    'Try strip, band and a letter on the bench',
    `Join ${materials.strip.name} to the ${circuit.supply?.name ?? 'supply'} for a minute, uncoiled; hold an offcut of ${materials.inlay.name.toLowerCase()} over it.`,
    10,
    'Do not leave strip lit while it is coiled: it overheats. Mains wiring is for a licensed electrician; use a listed supply.',
  ),
];

const cut = ({ materials, geometry, lid, parts }: StackedStepFacts): readonly ToldStep[] => {
  const { tool } = materials;
  const plates = parts.filter(({ id }) => id !== 'inlays');
  const count = plates.reduce((sum, part) => sum + part.count, 0);
  return [
    ...(lid.inlay === null
      ? []
      : [
          step(
            'cut',
            'ladder',
            'Try the fit of the letters on the ladder',
            `Cut “fit-ladder-pockets” in an offcut of ${materials.lid.name.toLowerCase()} and “fit-ladder-plugs” from ${materials.inlay.name.toLowerCase()}, as the parts are cut. The plug that goes in by hand and stays tells the fit: its ticks count the steps of 0.05 mm; set it in the design before the letters are cut. Now they are ${fitWords(lid.inlay.overMm)}.`,
            25,
          ),
        ]),
    {
      ...step(
        'cut',
        'plates',
        `Cut ${counted(count, 'plate')}`,
        `${tool.name}. ${plates.map(({ name, materialName }) => `${name}: ${materialName.toLowerCase()}`).join('; ')}. Turn the grain of each board across that of the one below, so that the stack stays flat. Number each on its inner edge; films of acrylic stay on.`,
        10 + 6 * count,
        toolCautions[tool.kind],
      ),
      shows: { view: 'sheets', parts: plates.map(({ name }) => name) },
    },
    ...(lid.inlay === null
      ? []
      : [
          {
            ...step(
              'cut',
              'lettering',
              'Cut the letters of the lid',
              `${materials.inlay.name}, ${lid.inlay.counters.length > 0 ? `and keep ${counted(lid.inlay.counters.length, 'counter')} of the lid that fall out, numbered` : 'as drawn'}; edges as they come off the tool.`,
              15,
              toolCautions[tool.kind],
            ),
            shows: { view: 'letters' as const },
          },
        ]),
    step(
      'cut',
      'dry-stack',
      'Stack all plates dry',
      `From base to lid they come to ${mm(geometry.outside.depthMm)}; the room within to ${mm(geometry.roomMm)}. Measure it: the strip takes ${mm(geometry.stripMm)} of it. Mark one line across all edges, so that the stack goes together the same way again.`,
      15,
    ),
  ];
};

const assemble = (facts: StackedStepFacts): readonly ToldStep[] => {
  const { geometry, materials, lid, finishing } = facts;
  const { screws, pins } = heldAt(geometry);
  const lengths = pinLengthsMm(geometry);
  const glued = [...new Set(geometry.rings.map(({ index }) => glueWords(finishing, `ring-${index + 1}`)))].join('');
  const longest = Math.max(0, ...geometry.rings.map(({ index }) => clampMinutes(finishing, `ring-${index + 1}`, 60)));
  return [
    step(
      'assemble',
      'rings',
      `Glue ${counted(geometry.rings.length, 'ring')} on each other`,
      `By the line across their edges, flat under even weight.${lengths.length > 0 && pins.length > 0 ? ` ${pins.length} pins Ø ${pinMm} mm through opaque rings, ${lengths.map(mm).join(' and ')} long and no longer: what stands out lifts the next plate.` : ''} No glue on an edge that glows, none in the room.${glued}`,
      12 * geometry.rings.length,
      'Adhesive: ventilate; no flame or spark.',
      longest,
    ),
    step(
      'assemble',
      'edges',
      'Sand the edges of the stack together',
      `One turn with 120, then 240 grit; putty in gaps and touch up.${geometry.rings.some((ring) => ring.glows) ? ' Glowing edges last and along them, so that no dust of wood is rubbed in; a matt edge glows as well as a polished one.' : ''}`,
      25,
      'Dust mask and eye protection.',
    ),
    ...surfaceSteps(finishing, 'front'),
    step(
      'finish',
      'lining',
      `White inside: ${materials.lining.name}`,
      'Base, opaque rings, ledge and the underside of the lid, but nothing on what glows.',
      20,
      'Ventilate while painting; no flame or spark near solvents.',
      materials.lining.price === 0 ? 0 : 120,
    ),
    ...(lid.inlay === null
      ? []
      : [
          step(
            'assemble',
            'letters',
            'Let the letters into the lid',
            `${lid.inlay.overMm > 0 ? 'Face down on a flat board, each pressed in with a block, corners first; no hammer on acrylic.' : 'Lay the lid face down on tape, set the letters in, and run thin glue into the gap from behind.'}${lid.inlay.counters.length > 0 ? ` ${counted(lid.inlay.counters.length, 'counter')} back into their letters, by the numbers.` : ''}${materials.faceCoats.map(({ coating }) => ` ${coating.name} under them, flat and without bubbles.`).join('')}`,
            20,
            lid.inlay.stock.stuff === 'acrylic' ? 'Chips fly when acrylic is forced: eye protection.' : null,
          ),
        ]),
    step(
      'assemble',
      'lid',
      'Glue the lid on the rings',
      screws.length > 0
        ? `For good: one gets at the strip from behind, by ${counted(screws.length, 'screw')} of the base.`
        : 'The wall is too narrow for screws: try everything lit before this, it closes for good.',
      15,
      null,
      60,
    ),
  ];
};

const wire = (facts: StackedStepFacts): readonly ToldStep[] => {
  const { brief, geometry, materials, light, runs, circuit } = facts;
  const heights = loopHeights(geometry, light, materials.strip.widthMm);
  const where =
    geometry.ledge === null
      ? `on the inside of the rings, its middle ${heights.map(mm).join(' and ')} from the base`
      : `round the ledge (${counted(ledgeRings(geometry, materials), 'ring')} on the base), looking ${light.facing === 'both' ? 'out and in' : 'out'}, its middle ${heights.map(mm).join(' and ')} from the base`;
  return [
    step(
      'wire',
      'strip',
      `Lay ${counted(runs.segments.length, 'loop')} of strip`,
      `${materials.strip.name}, ${where}. Cut on the marks only (every ${mm(materials.strip.cutPitchMm)}); both ends meet where the lead comes in, and never one over the other: where strip doubles the edge is brighter. Try each before its backing comes off.`,
      10 + 8 * runs.segments.length,
    ),
    signStep('wire', 'solder', 'Join the loops to the lead', joiningWords(circuit), 10, joiningCaution(circuit)),
    ...wiringSteps(circuit),
    signStep(
      'wire',
      'lead',
      'Bring the lead out and relieve its strain',
      `${brief.leadExit === 'back' ? 'Through the hole in the base, a grommet in it' : `By the slot in ring ${(geometry.rings.find((ring) => !ring.glows)?.index ?? 0) + 1} at the ${brief.leadExit}`}: ${circuit.lead.name}, ${mm(brief.leadLengthMm)}; in-line fuse ${circuit.fuseA} A at the supply.`,
      10,
      'Mains side and hard-wired supplies: local electrical codes, a licensed electrician.',
    ),
    signStep(
      'prove',
      'soak',
      'Full power for an hour, the base held on by two screws',
      `Expect ${circuit.amps.toFixed(2)} A at ${circuit.voltageV} V. Note current, and how warm lid and edge become.`,
      15,
      'Do not leave a new sign lit unattended.',
      60,
    ),
  ];
};

/** The build list of stacked plates. Times are typical and meant to be replaced by the shop’s own. */
export const stackedSteps = (facts: StackedStepFacts): readonly ToldStep[] => [
  ...prepare(facts),
  ...cut(facts),
  ...assemble(facts),
  ...hangSteps(facts.hang, facts.brief.place).sawn,
  ...hangSteps(facts.hang, facts.brief.place).fixed,
  ...wire(facts),
  step(
    'assemble',
    'close',
    'Screw the base on and peel the films',
    'Films of letters and edges last of all; wipe with soapy water, no spirit on acrylic.',
    10,
  ),
  ...hangSteps(facts.hang, facts.brief.place).put,
  step(
    'prove',
    'even',
    'Look at it in the dark and by day',
    `From ${mm(facts.brief.readingDistanceMm)}: letters alike, no dots along the edge, no light at a seam.`,
    10,
  ),
];
