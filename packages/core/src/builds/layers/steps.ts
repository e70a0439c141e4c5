import type { CaseGeometry } from '../../light/geometry/index.js';
import { clampMinutes, glueWords, surfaceSteps, type Finishing } from '../../making/finishing/index.js';
import type { ToldStep } from '../../making/steps/index.js';
import { counted, mm, step } from '../common/step-words.js';
import { glows } from '../common/sheet-stock.js';
import type { LayersMaterials } from './materials.js';
import { pilesOf, pileWords, slotWords } from './parts.js';
import { fitWords } from '../common/inlays.js';
import type { Scene, StandingSheet } from './scene.js';
import type { SceneDesign } from './schema.js';
import { toolCautions } from '../common/tool-cautions.js';

/** Sheets are cut one after the other. */
const cutSheets = ({ sheets }: Scene, { tool }: LayersMaterials): readonly ToldStep[] =>
  sheets.length === 0
    ? []
    : [
        {
          ...step(
            'cut',
            'sheets',
            `Cut ${counted(sheets.length, 'sheet')} of the scene`,
            `${tool.name}. ${sheets.map(({ sheet, stock }) => `${sheet.name}: ${stock.name.toLowerCase()}`).join('; ')}. Turn the grain of each across that of the one behind it, so that the stack stays flat. Number each on its rear side.${sheets.some(({ print }) => print !== null) ? ' Prints are glued on whole, rolled from the middle, dried under weight, and cut out with the sheet; their drawing is the line to cut along.' : ''}`,
            10 + 8 * sheets.length,
            toolCautions[tool.kind],
          ),
          shows: { view: 'sheets', parts: sheets.map(({ sheet }) => sheet.name) },
        },
      ];

/** The fit is tried before letters are cut; they are let in once the sheet is painted. */
const inlaySteps = ({ sheets }: Scene): readonly ToldStep[] =>
  sheets.flatMap(({ sheet, stock, inlay, index }): readonly ToldStep[] => {
    if (inlay === null) return [];
    const pressed = inlay.overMm > 0;
    return [
      step(
        'cut',
        `ladder-${index + 1}`,
        `Try the fit of ${sheet.name} on the ladder`,
        `Cut “fit-ladder-pockets” in an offcut of ${stock.name.toLowerCase()} and “fit-ladder-plugs” from ${inlay.stock.name.toLowerCase()}, as the parts are cut. The plug that goes in by hand and stays tells the fit: its ticks count the steps of 0.05 mm; set it in the design before the inlays are cut. Now they are ${fitWords(inlay.overMm)}.`,
        25,
      ),
      step(
        'assemble',
        `inlay-${index + 1}`,
        `Let the letters into ${sheet.name}`,
        `${pressed ? 'Face down on a flat board, each letter pressed in with a block, corners first; no hammer on acrylic.' : 'Lay the sheet face down on tape, set the letters in, and run thin glue into the gap from behind.'}${inlay.counters.length > 0 ? ` ${inlay.counters.length} ${inlay.counters.length === 1 ? 'counter' : 'counters'} back into their letters, by the numbers.` : ''} Films are peeled last, when all is painted.`,
        10 + 4 * inlay.counters.length + 15,
        inlay.stock.stuff === 'acrylic' ? 'Chips fly when acrylic is forced: eye protection.' : null,
      ),
    ];
  });

/** Everything laid up without glue, before anything is painted. */
const dryStack = ({ sheets }: Scene, { inside }: CaseGeometry): readonly ToldStep[] => [
  step(
    'finish',
    'dry-stack',
    'Stack all sheets dry in the box',
    `On their spacers, by the spacer plan; measure from the back to the rear of each: ${sheets.map(({ sheet, rearZMm }) => `${sheet.name} ${mm(rearZMm)}`).join(', ')}. Hold the lit strip where it will lie and look from both sides: no LED, no spacer. The front must clear the foremost sheet (${mm(inside.depthMm - Math.max(0, ...sheets.map(({ frontZMm }) => frontZMm)))} here).`,
    25,
  ),
];

const paintSheets = (scene: Scene, finishing: Finishing): readonly ToldStep[] => {
  const painted = scene.sheets.filter(({ stock, print }) => !glows(stock) && print === null);
  if (painted.length === 0) return [];
  return [
    step(
      'finish',
      'sheet-edges',
      'Fill and sand the sheets',
      'Putty in chipped edges, sanded flush when dry; break the front edges by a stroke of 240 grit. Dust off: what is left shows in the light.',
      6 * painted.length,
      'Dust mask and eye protection.',
    ),
    ...surfaceSteps(finishing, 'sheets').map((told) => ({
      ...told,
      detail: `${told.detail} Rear sides white where they bounce light: ${
        painted
          .filter(({ sheet }) => sheet.whiteBehind ?? true)
          .map(({ sheet }) => sheet.name)
          .join(', ') || 'none'
      }. Fronts: ${painted.map(({ sheet }) => `${sheet.name} ${sheet.colour}`).join(', ')}. Edges as the front. ${counted(new Set(painted.map(({ sheet }) => sheet.colour)).size, 'colour')}: small pots, mixed from white and tinting paste, do.`,
    })),
  ];
};

/** A brad ends so far before it would come out (mm). */
const bradLessMm = 2;

/** The longest brad that comes out nowhere: through the sheet and its pile, into what that stands on. */
const longestBradMm = ({ stock, carried }: StandingSheet, scene: Scene, backMm: number): number | null => {
  const through = carried
    .flatMap(({ posts }) => posts)
    .map(
      ({ pile, on }) =>
        stock.thicknessMm + pile.heightMm + (on === null ? backMm : scene.sheets[on]!.stock.thicknessMm),
    );
  return through.length === 0 ? null : Math.floor(Math.min(...through) - bradLessMm);
};

/** A sheet is lowered onto the combs, half into half. */
const inCombs = ({ sheet, rearZMm, stock }: StandingSheet, posts: number): ToldStep =>
  step(
    'assemble',
    `comb-${sheet.id}`,
    `Press ${sheet.name} into the combs`,
    `From above, its slots over the combs and theirs round it, both sides together, down to the floor; a block of wood over the slot, and no hammer${stock.stuff === 'acrylic' ? ' on acrylic' : ''}. Its rear side comes to ${mm(rearZMm)} from the back. A drop of thin glue at each slot once all stand straight.${posts > 0 ? ` Its other parts stand on ${counted(posts, 'spacer')}, by the plan.` : ''}`,
    8 + 2 * posts,
    stock.stuff === 'acrylic' ? 'Chips fly when acrylic is forced: eye protection.' : null,
  );

/** Combs stand on the floor before any sheet goes into them. */
const combSteps = ({ combs }: Scene, { inside }: CaseGeometry): readonly ToldStep[] =>
  combs === null
    ? []
    : [
        step(
          'assemble',
          'combs',
          `Glue ${counted(combs.each.length, 'comb')} on the floor of the box`,
          `Middles ${mm(inside.widthMm / 2 - Math.abs(combs.each[0]!.xMm))} from both sides, ${combs.each[0]!.fromZMm < 0.05 ? 'against the back' : `${mm(combs.each[0]!.fromZMm)} from the back`}, square to it, slots up${combs.each[0]!.passages > 0 ? '; strip on the floor goes through under them' : ''}. One sheet pressed in dry keeps them upright while the glue sets.`,
          15,
        ),
      ];

/** The slots are tried before sheets are cut. */
const slotSteps = ({ combs }: Scene): readonly ToldStep[] =>
  combs === null
    ? []
    : [
        step(
          'cut',
          'slots',
          'Try the slots of the combs on the test strip',
          `Cut “slot-ladder” from an offcut of ${combs.stock.name.toLowerCase()}, and push an offcut of each sheet into its slots. The one that it goes into by hand and holds tells the fit: its ticks count the steps of 0.05 mm; set it in the design before combs and sheets are cut. Now they are ${slotWords(combs.overMm)}.`,
          15,
        ),
      ];

/** From the back on, each sheet after its spacers have set. */
const glueStack = (scene: Scene, { back }: CaseGeometry, finishing: Finishing): readonly ToldStep[] => {
  const wait = clampMinutes(finishing, 'spacers', 30);
  return scene.sheets.map((standing, place): ToldStep => {
    const posts = standing.carried.flatMap((each) => each.posts);
    const piles = [...new Set(posts.map(({ pile }) => pileWords(pile)))].join(', ');
    const brad = longestBradMm(standing, scene, back.thicknessMm);
    const { name } = standing.sheet;
    if (standing.carried.some(({ slots }) => slots.length > 0)) return inCombs(standing, posts.length);
    return {
      ...step(
        'assemble',
        `stack-${place + 1}`,
        posts.length === 0
          ? `Glue ${name} flat on what is behind it`
          : `Glue ${name} on ${counted(posts.length, 'spacer')}`,
        [
          ...(posts.length === 0 ? [] : [`Piles of ${piles}, by the plan “spacers under ${name}”.`]),
          `Its rear side comes to ${mm(standing.rearZMm)} from the back.${glueWords(finishing, 'spacers')}`,
          'Weights on it, square to the case.',
          ...(brad === null ? [] : [`Brads that hold it while the glue sets: ${mm(brad)} long at the most.`]),
        ].join(' '),
        10 + 2 * posts.length,
        'A brad that is longer than what it goes into comes out where a hand is: measure first.',
      ),
      waitMinutes: wait,
    };
  });
};

/** The trim goes on last: it holds the front. */
const trimSteps = ({ trim }: LayersMaterials, { outside }: CaseGeometry, finishing: Finishing): readonly ToldStep[] =>
  trim === null
    ? []
    : [
        {
          ...step(
            'assemble',
            'trim',
            'Mitre the trim round the front',
            `Strips ${mm(trim.widthMm)} wide of ${trim.board.name.toLowerCase()}, long sides ${mm(outside.widthMm)} and ${mm(outside.heightMm)}: cut them a little long, and each mitre to the one before, dry.${glueWords(finishing, 'trim')} Glue and brads into the returns alone, never onto the clear front, which moves under it.`,
            35,
            'Mitre saw by its maker’s manual: hands off the line of the blade, eye and ear protection.',
          ),
          waitMinutes: clampMinutes(finishing, 'trim', 30),
        },
      ];

/** The build list of a scene: that of its case, without letters on the front, with the sheets cut, tried, painted and stacked. */
export const layersSteps = (
  steps: readonly ToldStep[],
  scene: Scene,
  geometry: CaseGeometry,
  materials: LayersMaterials,
  finishing: Finishing,
  { stripBehind: behind }: SceneDesign,
): readonly ToldStep[] => {
  const carrier = scene.sheets.find(({ sheet }) => sheet.id === behind?.sheetId)?.sheet.name;
  const piles = pilesOf(scene).length;
  const own: Readonly<Record<string, Partial<ToldStep>>> = {
    face: { title: `Cut the clear front ${mm(geometry.face.widthMm)} × ${mm(geometry.face.heightMm)}` },
    even: {
      title: 'Look at it in the dark and by day',
      detail:
        'From the front and from both sides: every layer told from the next, no LED and no spacer in sight, no light past the edges.',
    },
    template: {
      title: 'Print the strip template and the spacer plans, and check their scale',
      detail: `Print at 100 %; the square must measure 50 mm both ways. ${counted(piles, 'pile')} of spacers stand where they are drawn.`,
    },
  };
  const found = steps
    .filter(({ id }) => id !== 'lettering')
    .map((each): ToldStep => ({
      ...each,
      ...own[each.id],
      ...(each.id === 'strip' && behind && carrier !== undefined
        ? {
            detail: `${each.detail} It lies ${behind.looks === 'back' ? `on the rear side of ${carrier}, before that is glued in; leave its wires long enough to lay ${carrier} face down beside the box` : 'on the back'}, ${mm(behind.setbackMm)} in from the edge of ${carrier}, by the plan “strip behind ${carrier}”.`,
          }
        : {}),
    }));
  const inlays = inlaySteps(scene);
  return found.flatMap((each, at): readonly ToldStep[] => [
    ...(each.phase === 'finish' && found[at - 1]?.phase !== 'finish' ? dryStack(scene, geometry) : []),
    ...(each.id === 'close'
      ? [
          ...inlays.filter(({ phase }) => phase === 'assemble'),
          ...combSteps(scene, geometry),
          ...glueStack(scene, geometry, finishing),
          step(
            'assemble',
            'touch-up',
            'Touch up and dust the scene',
            'Scratches and glue with a fine brush; blow it out; wipe the clear front inside, its films off last.',
            15,
          ),
          ...trimSteps(materials, geometry, finishing),
        ]
      : []),
    each,
    ...(each.id === 'face'
      ? [...inlays.filter(({ phase }) => phase === 'cut'), ...slotSteps(scene), ...cutSheets(scene, materials)]
      : []),
    ...(each.phase === 'finish' && found[at + 1]?.phase !== 'finish' ? paintSheets(scene, finishing) : []),
  ]);
};
