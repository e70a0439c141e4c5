import type { Cutter } from '../../document/catalogue/index.js';
import { cornerJoints } from '../../joinery/members/index.js';
import { clampMinutes, glueWords, surfaceSteps, type Finishing } from '../../making/finishing/index.js';
import { hangSteps, type Hang } from '../../making/hanging/index.js';
import type { Circuit } from '../../power/circuit/index.js';
import type { CutPart } from '../../making/parts/index.js';
import type { ToldStep } from '../../making/steps/index.js';
import { setUpSteps } from '../common/set-up-steps.js';
import { counted, mm, signStep, step } from '../common/step-words.js';
import { joiningCaution, joiningWords, wiringSteps } from '../common/wiring-steps.js';
import { fillOf, passesFor, workedOf, type WorkedArea } from './areas.js';
import type { BaseGeometry } from './base-geometry.js';
import { membersIn } from './geometry.js';
import { litEdges } from './lit-edges.js';
import { isStencilled, looseOf } from './stencil.js';
import { isSheetSide } from './sheet-light.js';
import { spacingOf } from './worked.js';
import type { PanelFacts } from './results.js';

/** What the steps are written from. */
export interface PanelStepFacts {
  readonly own: PanelFacts;
  readonly circuit: Circuit;
  readonly parts: readonly CutPart[];
  readonly cutters: readonly Cutter[];
  readonly hang: Hang | null;
  readonly finishing: Finishing;
}

const cautions = {
  beam: 'Ventilate: acrylic smoulders and burns under a laser, never leave it alone; never laser PVC. Goggles for its wavelength.',
  bit: 'Router by its maker’s manual; hold the sheet down all over; eye, ear and dust protection.',
  hand: 'Eye protection and a dust mask; glass wet, and never in bare hands.',
  blasted: 'Blast in a cabinet, with breathing protection and gloves: fine dust harms lungs. Edges of glass are sharp.',
  sanded: 'Dust mask; sand wet where you can.',
} as const;

const beginnings: Readonly<Record<PanelFacts['materials']['engraving']['method'], string>> = {
  beam: 'Leave the protective film on both faces; the laser goes through the upper one.',
  bit: 'Leave the film on the other face; hold the sheet flat, spoil board under it, and touch off on the face.',
  hand: 'Stick the 1:1 print face down under the sheet, or on it, and follow its lines; rest the hand, draw toward you.',
  blasted:
    'Stick the stencil without bubbles, press its edges, and tape everything else; the film on the other face stays.',
  sanded: 'Stick the stencil, press its edges, and sand in circles until all looks alike from aside.',
};

const fillWords = ({ artwork, engraving, photo }: WorkedArea): string => {
  const fill = fillOf(artwork);
  if (fill === 'solid') return 'Worked all over.';
  const what = fill === 'hatch' ? 'Lines' : 'Dots';
  const graded =
    photo !== null
      ? '; the file has them by its tones'
      : artwork.graded
        ? ' where they are closest; the file grades them'
        : '';
  return `${what} of ${mm(engraving.lineMm)}, ${mm(spacingOf(artwork))} from middle to middle${graded}.`;
};

/** An area in words, where there are several. */
const areaName = ({ place, photo, lettering }: WorkedArea, several: boolean): string => {
  if (!several) return 'the artwork';
  const what = photo !== null ? 'the photograph' : lettering.letterCount > 0 ? 'the artwork' : 'the drawing';
  return `area ${place + 1}, ${what},`;
};

/** An area worked, its stencil cut before where it has one. */
const areaSteps = (area: WorkedArea, several: boolean): readonly ToldStep[] => {
  const { artwork, engraving, lettering, onBack, place } = area;
  const loose = looseOf(area);
  const passes = passesFor(area);
  const m2 = lettering.areaMm2 / 1e6;
  const id = place === 0 ? '' : `-${place + 1}`;
  const name = areaName(area, several);
  return [
    ...(isStencilled(area)
      ? [
          {
            ...step(
              'cut',
              `stencil${id}`,
              `Cut and weed the stencil${several ? ` of area ${place + 1}` : ''}`,
              `From the drawing${onBack ? ', mirrored' : ''}; weed the artwork, leave the ground.${loose > 0 ? ` ${counted(loose, 'middle')} of letters hang on bridges of 1.5 mm, or keep their place on transfer film; close the bridges with film afterwards.` : ''}`,
              15 + 2 * lettering.letterCount,
            ),
            shows: { view: 'letters' as const },
          },
        ]
      : []),
    {
      ...step(
        'cut',
        `lettering${id}`,
        `Work ${name} into the ${onBack ? 'back, mirrored' : 'front'}`,
        `${beginnings[engraving.method]} ${onBack ? 'Turn the sheet over: its back is up, and the drawing is mirrored, so that it reads right from the front.' : 'Front up: the drawing reads as it will be seen.'} ${mm(artwork.depthMm)} deep in ${counted(passes, 'pass').replace('passs', 'passes')}. ${fillWords(area)}`,
        Math.round(15 + passes * m2 * engraving.minPerM2),
        cautions[engraving.method],
      ),
      shows: { view: 'letters' },
    },
  ];
};

const prepare = ({ own, circuit }: PanelStepFacts): readonly ToldStep[] => [
  {
    ...signStep(
      'prepare',
      'bench-test',
      'Try the strip on the bench before anything is cut',
      `Join ${own.materials.strip.name} to the ${circuit.supply?.name ?? 'supply'} and light it for a minute, uncoiled; hold it to the edge of an offcut of the sheet.`,
      10,
      'Do not leave strip lit while it is coiled: it overheats. Mains wiring is for a licensed electrician; use a listed supply.',
    ),
  },
  {
    ...step(
      'prepare',
      'test-cut',
      'Work a test in an offcut of the same sheet',
      `${mm(own.assembly.artwork.depthMm)} deep, a letter and a patch of the fill; light it from its edge. What looks bright on the bench is bright for good: less is usually enough.`,
      20,
      cautions[own.materials.engraving.method],
    ),
    shows: { view: 'letters' },
  },
];

/** The sheet: its outline, its artwork, its edges. */
const sheetSteps = ({ own }: PanelStepFacts): readonly ToldStep[] => {
  const { assembly, materials, geometry, areas } = own;
  const { pane } = materials;
  const { width, height } = geometry.sheet;
  const glass = pane.stuff === 'glass';
  const worked = workedOf(areas).length > 0 ? workedOf(areas) : areas.slice(0, 1);
  const drawn = (assembly.sheet.outline ?? null) !== null;
  return [
    {
      ...step(
        'cut',
        'sheet',
        `Cut the sheet ${mm(width)} × ${mm(height)}${drawn ? ' to its outline' : ''}`,
        `${pane.name}${glass ? ': order it cut, with ground and polished edges where light goes in' : '; its protective films stay on until the very end'}. Mark the face that is worked and which edge is up.`,
        glass ? 10 : 20,
        glass
          ? 'Glass: gloves, sleeves and eye protection; carry it on edge.'
          : 'Saw acrylic with a fine blade, held down; eye protection.',
      ),
      shows: { view: 'sheets', parts: ['Sheet'] },
    },
    ...worked.flatMap((area) => areaSteps(area, worked.length > 1)),
    step(
      'finish',
      'edges',
      `Polish the lit edge${litEdges(assembly.light).length > 1 ? 's' : ''}: ${litEdges(assembly.light).join(', ')}`,
      glass
        ? 'Polished by the glazier; wipe it clean, no tape on it.'
        : 'Scrape off the saw marks, wet paper 240, 400, 800, 1200 on a flat block, then polish on a cloth; keep it square. A flame rounds the edge and crazes what is glued or painted later.',
      glass ? 5 : 25,
      glass ? null : 'Polish cool: a hot edge smears.',
    ),
    ...Object.entries(assembly.sheet.unlit ?? {})
      .filter(
        ([side, finish]) =>
          finish !== undefined && finish !== 'polished' && !assembly.light.edges.some((lit) => lit === side),
      )
      .map(([side, finish]) =>
        step(
          'finish',
          `edge-${side}`,
          `The ${side} edge: ${finish === 'white' || finish === 'black' ? `${String(finish)} tape` : String(finish)}`,
          finish === 'white' || finish === 'black'
            ? 'As wide as the sheet is thick, no wider: it shows.'
            : 'Leave it as it is cut, its arris broken.',
          4,
        ),
      ),
    ...(assembly.sheet.behind === 'painted' && pane.silver === undefined
      ? [
          step(
            'finish',
            'ground',
            'Paint the back round the artwork',
            'Mask the artwork, two thin coats; paint takes the light that meets it, so that a board behind with air between stays brighter.',
            40,
            'Ventilate while spraying; no flame or spark.',
            120,
          ),
        ]
      : []),
  ];
};

const baseSteps = ({ own, parts, cutters, finishing }: PanelStepFacts, base: BaseGeometry): readonly ToldStep[] => {
  const { assembly, brief, materials } = own;
  if (assembly.holder.kind !== 'base') return [];
  const { cavity, closing, exit, slot, lengthMm, depthMm, battenMm, pocket } = base;
  if (assembly.holder.make === 'printed')
    return [
      step(
        'cut',
        'print-base',
        'Print the base and its lid',
        `Base top down, lid flat; walls ${mm(base.wallMm)} or more, no supports. Try the sheet in the slot of a short test print first: it must be ${mm(slot.widthMm)} wide.`,
        25,
        'Nozzle and bed are hot. Ventilate: printing gives off fumes and fine dust.',
        480,
      ),
    ];
  const wide = mm(cavity.widthMm);
  return [
    {
      ...step(
        'cut',
        'cut-base',
        `Cut the base ${mm(lengthMm)} × ${mm(depthMm)}`,
        `${materials.board.name}; plane both faces, mark front and top.`,
        15,
        'Table saw: guard and riving knife on, push stick, eye and ear protection, dust extraction.',
      ),
      shows: { view: 'sheets', parts: ['Base', 'Lid'] },
    },
    ...setUpSteps(parts, cutters),
    step(
      'cut',
      'cavity',
      `Rout the cavity from below: ${mm(cavity.lengthMm)} × ${wide}`,
      `${mm(cavity.highMm + closing.thicknessMm)} deep, in passes of 5 mm or less, until it meets the floor of the slot; it stops ${mm((lengthMm - cavity.lengthMm) / 2)} from both ends, so that the sheet rests there. Then the rebate for the lid, ${mm(closing.widthMm)} × ${mm(closing.heightMm)}, ${mm(closing.thicknessMm)} deep.${pocket.lengthMm > 0 ? ` A pocket ${mm(pocket.lengthMm)} × ${mm(pocket.widthMm)} over its left end, for the controller.` : ''}`,
      35,
      'Router: clamp the block, several shallow passes, both hands; eye, ear and dust protection.',
    ),
    step(
      'cut',
      'exit',
      assembly.holder.exit === 'jack' ? 'Drill for the jack' : 'Drill for the lead',
      brief.leadExit === 'bottom'
        ? `${mm(exit.diameterMm)} through the middle of the lid.`
        : exit.bay !== null
          ? `Rout a bay ${mm(exit.bay.widthMm)} wide from the cavity outward, until ${mm(exit.bay.wallMm)} of wall are left: a jack’s nut takes no more. Then ${mm(exit.diameterMm)} through that, ${mm(exit.upMm)} above the underside, from outside onto a block.`
          : `${mm(exit.diameterMm)}, ${mm(exit.upMm)} above the underside, into the cavity from the ${brief.leadExit === 'top' || brief.leadExit === 'back' ? 'rear' : brief.leadExit}; from both sides, so that it does not break out.`,
      10,
    ),
    {
      ...step(
        'cut',
        'lid',
        `Cut the lid ${mm(closing.widthMm)} × ${mm(closing.heightMm)}`,
        battenMm > 0.5
          ? `Glue the batten on it, planed to ${mm(battenMm)}: with the lid on, the LEDs stand ${mm(assembly.light.gapMm)} under the edge. Try it with the sheet in.`
          : 'The strip lies on the lid itself.',
        15,
      ),
      shows: { view: 'section' },
    },
    ...surfaceSteps(finishing, 'outside'),
  ];
};

const framedSteps = ({ own, parts, cutters, hang, finishing }: PanelStepFacts): readonly ToldStep[] => {
  const { geometry, assembly, brief } = own;
  const members = membersIn(geometry);
  if (members.length === 0 || assembly.holder.kind === 'base') return [];
  const { outside } = geometry;
  return [
    {
      ...step(
        'cut',
        'members',
        'Rip and cut the members',
        `${members.map(({ name, lengthMm }) => `${name} ${mm(lengthMm)}`).join(', ')}; grooves first, then the ends.`,
        30,
        'Table saw: guard and riving knife on, push stick, eye and ear protection, dust extraction.',
      ),
      shows: { view: 'sheets', parts: parts.filter(({ stock }) => stock === 'board').map(({ name }) => name) },
    },
    ...setUpSteps(parts, cutters),
    ...hangSteps(hang, brief.place).sawn,
    ...hangSteps(hang, brief.place).fixed,
    step(
      'finish',
      'glue-up',
      assembly.holder.kind === 'frame' ? 'Join the frame, the sheet in it' : 'Join the case square',
      `${cornerJoints[assembly.holder.joint].howTo} Measure both diagonals: each ${mm(Math.hypot(outside.widthMm, outside.heightMm))}.${assembly.holder.kind === 'frame' ? ' Strip and its wires lie in their groove before; leave one member screwed alone, so that strip can be reached.' : ''}${glueWords(finishing, 'corners')}`,
      30,
      null,
      clampMinutes(finishing, 'corners', 60),
    ),
    ...surfaceSteps(finishing, 'outside'),
  ];
};

const wire = ({ own, circuit }: PanelStepFacts): readonly ToldStep[] => {
  const { runs, materials, brief, assembly } = own;
  const { leadExit, leadLengthMm } = brief;
  const under = runs.segments.reduce((sum, { on, lengthMm }) => (isSheetSide(on) ? sum : sum + lengthMm), 0);
  return [
    step(
      'wire',
      'strip',
      `Cut and lay ${counted(runs.segments.length, 'segment')} of strip`,
      `Cut on the marks only (every ${mm(materials.strip.cutPitchMm)}); its LEDs in the middle of the sheet’s thickness, ${mm(assembly.light.gapMm)} before the edge. A strip beside the edge lights the wood.${under > 0 ? ` The rest, ${mm(under)}, lies under the bottom, straight and stuck down: clean and prime the wood first, and clip its ends; never leave it coiled.` : ''}`,
      10 + 6 * runs.segments.length,
    ),
    signStep(
      'wire',
      'solder',
      `Join ${counted(circuit.chains.length, 'chain')}: ${counted(circuit.wires.length, 'wire')}`,
      `Colours as in each chain below. ${joiningWords(circuit)}`,
      8,
      joiningCaution(circuit),
    ),
    ...wiringSteps(circuit),
    signStep(
      'wire',
      'lead',
      `Bring the lead out and relieve its strain`,
      `${leadExit === 'left' || leadExit === 'right' ? `At the ${leadExit}` : leadExit === 'bottom' ? 'Below' : 'At the rear'}: ${circuit.lead.name}, ${mm(leadLengthMm)}; in-line fuse ${circuit.fuseA} A at the supply.`,
      12,
      'Mains side and hard-wired supplies: local electrical codes, a licensed electrician.',
    ),
  ];
};

const close = ({ own, circuit, hang, finishing }: PanelStepFacts): readonly ToldStep[] => {
  const { assembly, brief, geometry } = own;
  const fit = assembly.holder.fit ?? 'slide';
  return [
    signStep(
      'prove',
      'soak',
      'Full power for an hour before closing',
      `Expect ${circuit.amps.toFixed(2)} A at ${circuit.voltageV} V. Note current and the warmth of the strip.`,
      15,
      'Do not leave a new sign lit unattended.',
      60,
    ),
    step(
      'assemble',
      'close',
      geometry.holder.kind === 'base'
        ? 'Set the sheet, close the lid'
        : geometry.holder.kind === 'top'
          ? 'Let the sheet in, close the bottom'
          : 'Close the frame',
      `${fit === 'glued' ? `Glue the sheet in its slot, none on the lit edge.${glueWords(finishing, 'sheet')}` : fit === 'press' ? 'Press it in evenly, not by its corners; it comes out the same way.' : 'It slides in and out: strip fails before acrylic does.'} The protective film comes off now, and not before; clean it with water and a soft cloth, no alcohol on acrylic.`,
      15,
      null,
      clampMinutes(finishing, 'sheet', 0),
    ),
    step(
      'prove',
      'even',
      'Look at it in the dark and by day',
      `From ${mm(brief.readingDistanceMm)}: as bright at the far end as at the strip, no fans beside it, no light past the edge.`,
      10,
    ),
    ...hangSteps(hang, brief.place).put,
  ];
};

/** The build list of an edge-lit sheet. Times are typical and meant to be replaced by the shop’s own. */
export const panelSteps = (facts: PanelStepFacts): readonly ToldStep[] => {
  const { holder } = facts.own.geometry;
  return [
    ...prepare(facts),
    ...sheetSteps(facts),
    ...(holder.kind === 'base' ? baseSteps(facts, holder) : framedSteps(facts)),
    ...wire(facts),
    ...close(facts),
  ];
};
