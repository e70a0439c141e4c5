import { clampMinutes, glueWords, surfaceSteps, waitWords, type Finishing } from '../../making/finishing/index.js';
import { hangSteps } from '../../making/hanging/index.js';
import { acrossCorners, cornerJoints, type Member } from '../../joinery/members/index.js';
import type { CutPart } from '../../making/parts/index.js';
import type { ToldStep } from '../../making/steps/index.js';
import { sum } from '../../base/maths/index.js';
import { gluedBackOf } from './glued-back.js';
import { ledgeOf } from './ledge-parts.js';
import { backHoldOf, backPlayOf, boreDeepMm } from './back-hold.js';
import type { StepFacts } from './types.js';
import { faceOutOf, lockedBy, shutIn } from './way-out.js';
import { setUpSteps } from '../common/set-up-steps.js';
import { joiningCaution, joiningWords, wiringSteps } from '../common/wiring-steps.js';

/** A step; whether it is the sign’s is said at the end. */
type Told = Omit<ToldStep, 'ofSign'> & Partial<Pick<ToldStep, 'ofSign'>>;

const counted = (count: number, what: string): string => `${count} ${what}${count === 1 ? '' : 's'}`;
const mm = (value: number): string => `${Math.round(value * 10) / 10} mm`;

const prepare = (facts: StepFacts): readonly Told[] => [
  {
    id: 'template',
    phase: 'prepare',
    title: 'Print the strip template and check its scale',
    detail: 'Print at 100 %; the square must measure 50 mm both ways. Tape the tiles by their marks.',
    minutes: 15,
    waitMinutes: 0,
    caution: null,
  },
  {
    id: 'bench-test',
    phase: 'prepare',
    title: 'Try the strip on the bench before anything is cut',
    detail: `Join ${facts.materials.strip.name} to the ${facts.circuit.supply?.name ?? 'supply'} and light the whole reel for a minute, uncoiled.`,
    minutes: 10,
    waitMinutes: 0,
    caution:
      'Do not leave strip lit while it is coiled: it overheats. Mains wiring is for a licensed electrician; use a listed supply.',
  },
];

/** How wide and how deep the bores in the returns are for what holds the back. */
const boreWords = ({ design, geometry }: StepFacts): string => {
  const hold = backHoldOf(design);
  return ` Bores in the returns: Ø${hold.boreMm} mm, ${mm(boreDeepMm(hold, geometry.back.thicknessMm))} deep.`;
};

/** Returns are this much too long until they are cut to a back that was glued up (mm). */
const longerMm = 5;

/** A back of boards is glued up first, and what goes round it cut to length last: it is as large as it comes out. */
const gluedBackSteps = (facts: StepFacts): readonly Told[] => {
  const glued = gluedBackOf(facts);
  if (glued === null) return [];
  const { back } = facts.geometry;
  return [
    {
      id: 'glue-back',
      phase: 'cut',
      title: `Glue up the back from ${glued.boards} boards`,
      detail: `Each ${mm(glued.lengthMm)} × ${mm(glued.boardMm)}, edges planed straight and tried against each other without light between them; growth rings up and down by turns.${glueWords(facts.finishing, 'back-boards')} ${glued.clamps} clamps from both faces by turns, flat on a board. Then scrape and sand it flat, ${mm(back.thicknessMm)} thick, and saw it to ${mm(back.widthMm)} × ${mm(back.heightMm)}.`,
      minutes: 30 + 10 * glued.boards,
      waitMinutes: clampMinutes(facts.finishing, 'back-boards', 60),
      caution:
        'Jointer and saw by their makers’ manuals: guards on, push blocks, eye and ear protection, dust extraction.',
    },
    {
      id: 'lengths-last',
      phase: 'cut',
      title: 'Try the returns dry round the back, and cut their lengths last',
      detail: `Until now they are ${longerMm} mm too long. Stand them round the back as it came out, mark each from it with ${mm(backPlayOf(facts.design))} play a side, and cut opposite ones together at one stop block; wood that was glued up is never quite what was drawn. The face is cut after them.`,
      minutes: 20,
      waitMinutes: 0,
      caution: 'Stop block clear of the blade, offcuts left alone until it stands; eye and ear protection.',
    },
  ];
};

const counts = ({ count }: CutPart): string => (count > 1 ? `${count} × ` : '');

const cut = (facts: StepFacts): readonly Told[] => {
  const { parts, design, geometry } = facts;
  const boards = parts.filter(({ stock }) => stock === 'board');
  return [
    {
      id: 'rip',
      phase: 'cut',
      title: `Cut ${sum(boards.map(({ count }) => count))} boards to size`,
      detail: `${boards.map((part) => `${counts(part)}${part.name} ${mm(part.widthMm)} × ${mm(part.heightMm)}`).join('; ')}${gluedBackOf(facts) === null ? '' : `. Leave the returns ${longerMm} mm long: their lengths are cut last`}`,
      minutes: 12 + 6 * boards.length,
      waitMinutes: 0,
      shows: { view: 'sheets', parts: boards.map(({ name }) => name) },
      caution: 'Table saw: guard and riving knife on, push stick, eye and ear protection, dust extraction.',
    },
    ...gluedBackSteps(facts),
    ...setUpSteps(parts, facts.cutters),
    {
      id: 'face',
      phase: 'cut',
      title: `Cut the face ${mm(geometry.face.widthMm)} × ${mm(geometry.face.heightMm)}`,
      detail: `It plays ${mm(design.playMm)} on every side; leave its film on until the end.`,
      shows: { view: 'sheets', parts: parts.filter(({ stock }) => stock === 'face').map(({ name }) => name) },
      minutes: 20,
      waitMinutes: 0,
      caution:
        'Ventilate when acrylic is cut by laser, and watch for fire. Never laser PVC or vinyl of unknown kind: it gives off chlorine.',
    },
    {
      id: 'holes',
      phase: 'cut',
      title: 'Drill the back and the lead hole',
      detail: `${backHoldOf(design).prepared}${boreWords(facts)} Ream the lead hole’s edges and fit the grommet, so that no lead lies over a sharp edge.`,
      minutes: 10,
      waitMinutes: 0,
      caution: null,
    },
    ...hangSteps(facts.hang, facts.brief.place).sawn,
  ];
};

const coatCautions = {
  sanding: 'Dust mask and eye protection; sand wet where you can.',
  film: null,
  paint: 'Ventilate while spraying; mask for vapours; no flame or spark.',
  print: null,
} as const;
const coatMinutes = { sanding: 35, film: 20, paint: 15, print: 15 } as const;
const coatWaits = { sanding: 0, film: 0, paint: 30, print: 0 } as const;

/** Sheets are coated and lettered while the case dries; one that is shut in is lettered in it. */
const coatSteps = ({ face, faceCoats, second }: StepFacts['materials']): readonly Told[] =>
  [
    ...faceCoats.map((each) => ({ ...each, sheet: face.name, of: 'face' })),
    ...(second === null ? [] : second.coats.map((each) => ({ ...each, sheet: second.sheet.name, of: 'second sheet' }))),
  ].map(({ coating, coats, sheet, of }, index) => ({
    id: `coat-${index + 1}`,
    phase: 'finish',
    title: `Inner side of the ${of}: ${coating.name.toLowerCase()}${coats === 1 ? '' : `, ${coats} coats`}`,
    detail: `${sheet}. Try it on an offcut under the lit strip first; one coat too many dims a sign by day.`,
    minutes: coatMinutes[coating.kind] * coats,
    waitMinutes: coatWaits[coating.kind] * coats,
    caution: coatCautions[coating.kind],
    work: { place: coating.kind === 'paint' ? 'paint' : 'bench', after: [index === 0 ? 'face' : `coat-${index}`] },
  }));

/** What the tool that cuts the letters asks for. */
const toolCautions = {
  knife: null,
  beam: 'Never laser PVC or vinyl of unknown kind: it gives off chlorine. Ventilate, and watch for fire.',
  bit: 'Router by its maker’s manual; hold the sheet down all over; eye, ear and dust protection.',
  nozzle: 'Nozzle and bed are hot. Ventilate: printing gives off fumes and fine dust.',
} as const;

const ledgeSteps = (facts: Pick<StepFacts, 'runs' | 'materials'>): readonly Told[] => {
  const ledge = ledgeOf(facts);
  if (ledge === null) return [];
  return [
    {
      id: 'ledge',
      phase: 'finish',
      title: 'Make the ledge within the returns',
      detail: `${mm(ledge.widthMm)} × ${mm(ledge.heightMm)} over all, ${mm(ledge.depthMm)} from the back; glue it to the back, and line it like the case. Strip goes on its outer side.`,
      minutes: 8 * ledge.sides.length,
      waitMinutes: 60,
      caution: null,
    },
  ];
};

/** Waits until paint may be taped and glued to. */
const liningStep = ({ lining }: StepFacts['materials'], finishing: Finishing): Told => {
  const [paint] = finishing.surfaces.find(({ id }) => id === 'inside')?.layers ?? [];
  return {
    id: 'lining',
    phase: 'finish',
    title: `Line the inside: ${lining.name}`,
    detail: [
      lining.price === 0
        ? 'Nothing to do; sand and dust.'
        : 'Returns and back; two thin coats if it is paint, lapped joints if it is film.',
      ...(paint === undefined
        ? []
        : [
            `${paint.litres.toFixed(2)} L, ${waitWords(paint.paint.recoatMin)} between coats; strip sticks to it after ${waitWords(paint.paint.cureMin)}.`,
          ]),
      ...(finishing.insideFirst
        ? ['Before the case is glued: the sheet in its groove shuts it in. Keep the joints free of it.']
        : []),
    ].join(' '),
    minutes: lining.price === 0 ? 5 : 35,
    waitMinutes: paint === undefined ? 0 : (paint.coats - 1) * paint.paint.recoatMin + paint.paint.cureMin,
    caution: paint === undefined ? null : 'Ventilate while painting; no flame or spark near solvents.',
  };
};

/** Once the corners hold and before anything is painted. */
const plugStep = (members: readonly Member[]): readonly Told[] => {
  const plugs = acrossCorners(members).filter(({ plug }) => plug !== null);
  const [first] = plugs;
  if (first === undefined) return [];
  return [
    {
      id: 'plugs',
      phase: 'finish',
      title: `Plug ${plugs.length} screw heads`,
      detail: `Glue Ø${mm(first.plug!.diameterMm)} plugs with their grain along the board, let them stand out a little, and pare and sand them flush when dry.`,
      minutes: 5 + Math.round(1.5 * plugs.length),
      waitMinutes: 60,
      caution: null,
    },
  ];
};

/** What goes into its groove while the corners are glued. */
const shutInWords = (design: StepFacts['design'], { second }: StepFacts['materials']): string => {
  const shut = shutIn(design, second);
  const what = [...(shut.face ? ['face'] : []), ...(shut.second ? ['second sheet'] : [])];
  if (what.length === 0) return '';
  return ` The ${what.join(' and the ')} ${what.length > 1 ? 'go into their grooves' : 'goes into its groove'} now, film on.`;
};

const topWords = {
  never: '',
  'top-off': ' No glue on the top: it is screwed on dry, and comes off.',
  'open-top': '',
  'lip-back': ' The lip of the top stays off until the face is in.',
} as const;

const finish = ({
  design,
  materials,
  lettering,
  mode,
  mirrored,
  geometry,
  runs,
  hang,
  brief,
  finishing,
}: StepFacts): readonly Told[] => {
  const coats = coatSteps(materials);
  return [
    ...(finishing.insideFirst ? [liningStep(materials, finishing)] : []),
    {
      id: 'glue-up',
      phase: 'finish',
      title: 'Join the returns square',
      detail: `${cornerJoints[design.cornerJoint].howTo} Measure both diagonals: each ${mm(Math.hypot(geometry.outside.widthMm, geometry.outside.heightMm))}.${shutInWords(design, materials)}${topWords[faceOutOf(design)]}${glueWords(finishing, 'corners')}`,
      minutes: 30,
      waitMinutes: clampMinutes(finishing, 'corners', 60),
      caution: null,
    },
    ...plugStep(geometry.members),
    ...hangSteps(hang, brief.place).glued,
    ...surfaceSteps(finishing, 'outside'),
    ...(finishing.insideFirst ? [] : [liningStep(materials, finishing)]),
    ...hangSteps(hang, brief.place).fixed,
    ...(geometry.block === null
      ? []
      : [
          {
            id: 'block',
            phase: 'finish',
            title: 'Make the block over the supply',
            detail: `${mm(geometry.block.x1 - geometry.block.x0)} × ${mm(geometry.block.y1 - geometry.block.y0)} × ${mm(geometry.block.heightMm)}; line it like the case, and screw it on from behind, so that what is under it can be reached.`,
            minutes: 30,
            waitMinutes: 30,
            caution: null,
          } as const,
        ]),
    ...ledgeSteps({ runs, materials }),
    ...coats,
    {
      id: 'lettering',
      work: shutIn(design, materials.second).face ? {} : { after: [coats.at(-1)?.id ?? 'face'] },
      phase: 'finish',
      title:
        mode === 'lit-letters' ? 'Lay the mask film on the face' : `Lay ${lettering.letterCount} letters on the face`,
      detail: `${mirrored ? 'On the inner side: the film is cut mirrored. ' : ''}Clean the face without alcohol, lay wet with transfer film, squeegee from the middle.`,
      minutes: 20 + 2 * lettering.letterCount,
      waitMinutes: 0,
      caution: toolCautions[materials.tool.kind],
    },
  ];
};

const wire = ({ runs, circuit, materials, brief }: StepFacts): readonly Told[] => [
  {
    id: 'strip',
    phase: 'wire',
    title: `Cut and lay ${counted(runs.segments.length, 'segment')} of strip`,
    detail: `Cut on the marks only (every ${mm(materials.strip.cutPitchMm)}); number each segment; arrows as on the template. Test each before its backing comes off.`,
    minutes: 10 + 6 * runs.segments.length,
    waitMinutes: 0,
    caution: null,
  },
  {
    id: 'solder',
    phase: 'wire',
    title: `Join ${counted(circuit.chains.length, 'chain')}: ${counted(circuit.wires.length, 'wire')}`,
    detail: `Colours as in each chain below. ${joiningWords(circuit)}`,
    minutes: 8,
    waitMinutes: 0,
    caution: joiningCaution(circuit),
  },
  ...wiringSteps(circuit),
  {
    id: 'lead',
    phase: 'wire',
    title: `Bring the lead out ${brief.leadExit === 'back' ? 'through the back' : `at the ${brief.leadExit}`} and relieve its strain`,
    detail: `${circuit.lead.name}, ${mm(brief.leadLengthMm)}; in-line fuse ${circuit.fuseA} A at the supply.`,
    minutes: 15,
    waitMinutes: 0,
    caution:
      'Mains side, hard-wired supplies and outdoor signs: local electrical and sign codes, a licensed electrician.',
  },
];

/** How the face gets in, and the back shut. */
const closing = ({ design, materials, finishing }: StepFacts): Pick<Told, 'title' | 'detail'> => {
  const { closed } = backHoldOf(design);
  const out = lockedBy(design) ? 'never' : faceOutOf(design);
  if (out === 'top-off')
    return {
      title: 'Slide the face in, screw the top on, close the back',
      detail: `From above, both films off; wax in the grooves helps. Machine screws by hand. ${closed}`,
    };
  if (out === 'lip-back')
    return {
      title: 'Slide the face in, glue the lip back, close the back',
      detail: `Both films off; wax in the grooves, none where glue goes. Try the lip dry: its groove must leave the face its play. A thin line of glue on its rear edge, away from the groove, clamps from front to rear.${glueWords(finishing, 'lip')} ${closed}`,
    };
  if (out === 'open-top')
    return {
      title: 'Slide the face in from above, close the back',
      detail: `Wax in the grooves helps; felt on their floor keeps it from knocking. ${closed}`,
    };
  return {
    title: shutIn(design, materials.second).face ? 'Close the back' : 'Set the face, close the back',
    detail: closed,
  };
};

const slidPastLip = (design: StepFacts['design']): boolean => !lockedBy(design) && faceOutOf(design) === 'lip-back';

const close = (facts: StepFacts): readonly Told[] => [
  {
    id: 'soak',
    phase: 'prove',
    title: 'Full power for an hour before closing',
    detail: `Expect ${facts.circuit.amps.toFixed(2)} A at ${facts.circuit.voltageV} V. Note current, strip and face temperature.`,
    minutes: 15,
    waitMinutes: 60,
    caution: 'Do not leave a new sign lit unattended.',
  },
  {
    id: 'close',
    phase: 'assemble',
    ...closing(facts),
    minutes: 20,
    // A lip that was glued on is let be until it holds.
    waitMinutes: slidPastLip(facts.design) ? clampMinutes(facts.finishing, 'lip', 60) : 0,
    caution: null,
  },
  {
    id: 'even',
    phase: 'prove',
    title: 'Look at it in the dark and by day',
    detail: `From ${mm(facts.brief.readingDistanceMm)}: no dots, no bands, no dark corner, no light past the edges.`,
    minutes: 10,
    waitMinutes: 0,
    caution: null,
  },
  ...hangSteps(facts.hang, facts.brief.place).put,
];

/** Done once for the sign, whatever else is in it. */
const ofSign: ReadonlySet<string> = new Set(['solder', 'soak', 'lead']);

/** The build list of a case with a lit face. Times are typical and meant to be replaced by the shop’s own. */
export const boxSteps = (facts: StepFacts): readonly ToldStep[] =>
  [...prepare(facts), ...cut(facts), ...finish(facts), ...wire(facts), ...close(facts)].map((told) => ({
    ...told,
    ofSign: told.ofSign ?? ofSign.has(told.id),
  }));
