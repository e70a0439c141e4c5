import { cornerJoints, insertThroughMm, lipName, memberMm3, type Member } from '../../joinery/members/index.js';
import { capital } from '../../base/words/index.js';
import { moveOutline, outlineArea, rectRing, subtract, turnedOver, type Outline } from '../../base/outlines/index.js';
import { layerOf, layersByDepth, type CutPart, type PartLayer, type PartShape } from '../../making/parts/index.js';
import { backHoldOf, holdPlaces } from './back-hold.js';
import { cornerReachMm } from './corner-reach.js';
import type { PartFacts } from './types.js';
import { seatsOf } from '../common/seat-shapes.js';
import { blockParts } from './block-parts.js';
import { backBoards, gluedBackOf } from './glued-back.js';
import { leadEntry, leadHoleMm } from './lead-entry.js';
import { ledgeParts } from './ledge-parts.js';
import { secondSize } from './second-sheet.js';
import { ventHoles } from './vents.js';
import { mouthOf } from './way-out.js';

/** Height of the lead's hole above the back (mm), clear of the strip. */
const leadAboveBackMm = 12;

const kilograms = (areaMm2: number, thicknessMm: number, densityKgM3: number): number =>
  (areaMm2 * thicknessMm * densityKgM3) / 1e9;

const cutOut = (widthMm: number, heightMm: number): PartLayer => ({
  operation: 'cut',
  shapes: [{ kind: 'outline', outline: [rectRing({ x: 0, y: 0, width: widthMm, height: heightMm })] }],
});

/** Holes through the back for what holds it. */
const holdHoles = ({ geometry, design }: PartFacts): readonly PartShape[] => {
  const { holeMm } = backHoldOf(design);
  if (holeMm === null) return [];
  return holdPlaces(geometry.back, design, cornerReachMm(geometry, design)).map(([x, y]) => ({
    kind: 'hole',
    x,
    y,
    diameterMm: holeMm,
  }));
};

const leadHole = (x: number, y: number): PartShape => ({
  kind: 'hole',
  x,
  y,
  diameterMm: leadHoleMm,
});

const backPart = (facts: PartFacts): CutPart => {
  const { geometry, materials, design, brief, runs } = facts;
  const { widthMm, heightMm, thicknessMm } = geometry.back;
  const glued = gluedBackOf(facts);
  const [midX, midY] = [widthMm / 2, heightMm / 2];
  const [leadX, leadY] = leadEntry('back', geometry, runs, materials.strip);
  const lead = brief.leadExit === 'back' ? [leadHole(midX + leadX, midY + leadY)] : [];
  const rows = runs.segments
    .filter(({ on }) => on === 'back')
    .flatMap(({ path }) =>
      path.slice(1).map(([x, y], at): PartShape => ({
        kind: 'line',
        from: [path[at]![0] + midX, path[at]![1] + midY],
        to: [x + midX, y + midY],
      })),
    );
  return {
    id: 'back',
    name: 'Back',
    materialId: materials.backBoard.id,
    materialName: materials.backBoard.name,
    stock: glued === null ? 'board' : 'panel',
    widthMm,
    heightMm,
    thicknessMm,
    count: 1,
    kg: kilograms(widthMm * heightMm, thicknessMm, materials.backBoard.densityKgM3),
    note: `${glued === null ? '' : `glued up from ${glued.boards} boards and cut to size; `}${backHoldOf(design).name} in the rear rabbet; opens for service`,
    layers: [cutOut(widthMm, heightMm), ...layerOf('drill', [...holdHoles(facts), ...lead]), ...layerOf('mark', rows)],
  };
};

/** Letters as film, or the mask that leaves them open; mirrored when they are worked from behind. */
const filmOutline = (
  { mode, mirrored, lettering, geometry }: PartFacts,
  widthMm: number,
  heightMm: number,
): Outline => {
  const seen = moveOutline(lettering.outline, widthMm / 2, heightMm / 2);
  const letters = mirrored ? turnedOver(seen, widthMm) : seen;
  if (mode !== 'lit-letters') return letters;
  const { inside } = geometry;
  // The mask reaches over the seat by half, so that no light shows past its edge.
  const over = Math.min(4, (widthMm - inside.widthMm) / 4);
  const mask = rectRing({
    x: widthMm / 2 - inside.widthMm / 2 - over,
    y: heightMm / 2 - inside.heightMm / 2 - over,
    width: inside.widthMm + 2 * over,
    height: inside.heightMm + 2 * over,
  });
  return subtract([mask], letters);
};

const facePart = (facts: PartFacts): CutPart => {
  const { geometry, materials, mode } = facts;
  const { widthMm, heightMm, thicknessMm } = geometry.face;
  const film = filmOutline(facts, widthMm, heightMm);
  return {
    id: 'face',
    name: 'Face',
    materialId: materials.face.id,
    materialName: materials.face.name,
    stock: 'face',
    widthMm,
    heightMm,
    thicknessMm,
    count: 1,
    kg: kilograms(widthMm * heightMm, thicknessMm, materials.face.densityKgM3),
    note: `${mode === 'lit-letters' ? 'mask film' : 'letters'} ${facts.mirrored ? 'on the inner side, drawn mirrored' : 'on the front, not mirrored'}`,
    layers: [
      cutOut(widthMm, heightMm),
      ...layerOf('film', film.length > 0 ? [{ kind: 'outline', outline: film }] : []),
    ],
  };
};

/** Where a second sheet is, in words. */
const placedBehind = ({ gapMm, seated }: NonNullable<PartFacts['materials']['second']>): string => {
  const off = `${round(gapMm)} mm behind the face`;
  if (seated) return gapMm > 0 ? `in its own groove, ${off}` : 'tight behind the face, in one groove with it';
  return gapMm > 0 ? `on spacers ${off}` : 'tight behind the face';
};

const secondPart = ({ geometry, materials, design }: PartFacts): readonly CutPart[] => {
  const { second } = materials;
  if (second === null) return [];
  const { widthMm, heightMm } = secondSize(geometry, design, second);
  const { sheet } = second;
  return [
    {
      id: 'second-sheet',
      name: 'Second sheet',
      materialId: sheet.id,
      materialName: sheet.name,
      stock: 'face',
      widthMm,
      heightMm,
      thicknessMm: sheet.thicknessMm,
      count: 1,
      kg: kilograms(widthMm * heightMm, sheet.thicknessMm, sheet.densityKgM3),
      note: placedBehind(second),
      layers: [cutOut(widthMm, heightMm)],
    },
  ];
};

const filmPart = (facts: PartFacts): readonly CutPart[] => {
  const { geometry, materials } = facts;
  const { widthMm, heightMm } = geometry.face;
  const outline = filmOutline(facts, widthMm, heightMm);
  if (outline.length === 0) return [];
  return [
    {
      id: 'film',
      name: facts.mode === 'lit-letters' ? 'Mask film' : 'Letter film',
      materialId: materials.film.id,
      materialName: materials.film.name,
      stock: 'film',
      widthMm,
      heightMm,
      thicknessMm: 0.1,
      count: 1,
      kg: kilograms(Math.abs(outlineArea(outline)), 0.1, 1300),
      note: `drawn in its place on the face, seen from ${facts.mirrored ? 'behind, so mirrored' : 'the front'}`,
      layers: [{ operation: 'cut', shapes: [{ kind: 'outline', outline }] }],
    },
  ];
};

/** Holes through a member that runs through, into the middle of the one that stands between. */
const cornerHoles = (member: Member): readonly PartShape[] => {
  if (member.runs !== 'through') return [];
  const across = member.thicknessMm / 2;
  return [across, member.lengthMm - across].flatMap((x) =>
    member.fasteners
      .filter(({ kind }) => kind === 'screw' || kind === 'insert')
      .map(({ kind, fromFrontMm, diameterMm }): PartShape => ({
        kind: 'hole',
        x,
        y: member.widthMm - fromFrontMm,
        diameterMm: kind === 'insert' ? insertThroughMm : diameterMm,
      })),
  );
};

/** Rabbets across the ends, into which the members between fit. */
const endRabbets = ({ endRabbetMm, thicknessMm, lengthMm, widthMm }: Member): readonly PartShape[] =>
  endRabbetMm === 0
    ? []
    : [0, lengthMm - thicknessMm].map((x): PartShape => ({
        kind: 'outline',
        outline: [rectRing({ x, y: 0, width: thicknessMm, height: widthMm })],
      }));

const fastenersAt = (fasteners: Member['fasteners']): string =>
  fasteners.map(({ fromFrontMm }) => `${round(fromFrontMm)} mm`).join(' and ');

const endsNote = ({ ends, endRabbetMm, joint, fasteners, runs }: Member): readonly string[] => {
  const [first] = fasteners;
  const fastener = first?.kind === 'insert' ? undefined : first;
  return [
    ...(ends === 'mitre' ? ['ends mitred 45°, long side given'] : []),
    ...(endRabbetMm > 0 ? [`rabbets ${round(endRabbetMm)} mm deep across both ends`] : []),
    ...(first?.kind === 'insert'
      ? [
          runs === 'through'
            ? 'comes off: machine screws through it, no glue'
            : `inserts Ø${round(first.diameterMm)} mm in the upper end alone, ${fastenersAt(fasteners)} from the front edge`,
        ]
      : []),
    ...(joint === 'butt' || joint === 'mitre' ? [] : [`corners: ${cornerJoints[joint].name}`]),
    ...(fastener === undefined || fastener.plug === null
      ? []
      : [
          `screws bored ${round(fastener.plug.diameterMm)} × ${round(fastener.plug.depthMm)} mm from outside, and plugged`,
        ]),
    ...(fastener === undefined || fastener.kind === 'screw'
      ? []
      : [
          `${fastener.kind === 'pocket-screw' ? 'pocket screws' : `${fastener.kind}s`} ${round(fastener.diameterMm)} × ${round(fastener.lengthMm)} mm at ${fastenersAt(fasteners)} from the front edge`,
        ]),
  ];
};

/** What is said of a lip, which is glued on last. */
const lipNote = ({ name }: Member): readonly string[] =>
  name === lipName
    ? ['ripped from one board with the top, so that its grain goes on; glued back when the face is in']
    : [];

const mouthNote = ({ seats }: Member, design: PartFacts['design']): readonly string[] => {
  const wide = mouthOf(design);
  return wide > 0 && seats.some(({ holds }) => holds === 'face') ? [`mouth chamfered ${round(wide)} mm`] : [];
};

/** Drawn with the front edge at the top and the inner side toward the viewer. */
const memberPart = (member: Member, facts: PartFacts): CutPart => {
  const { materials, brief, geometry } = facts;
  const { returnBoard } = materials;
  const { lengthMm, widthMm, thicknessMm } = member;
  const backMm = geometry.back.thicknessMm + geometry.recessMm;
  const lead =
    brief.leadExit === member.name ? [leadHole(lengthMm / 2, Math.min(backMm + leadAboveBackMm, widthMm / 2))] : [];
  const upright = member.name === 'left' || member.name === 'right';
  const vents = upright || member.name === lipName ? [] : ventHoles(facts.design.vents ?? null, lengthMm, widthMm);
  const seatNote = member.seats
    .map(
      (seat) =>
        `${seat.kind} ${round(seat.widthMm)} × ${round(seat.depthMm)} mm for the ${seat.holds}, ${round(seat.fromFrontMm)} mm from the front edge${seat.stopMm > 0 ? `, stopped ${round(seat.stopMm)} mm short of each end` : ''}`,
    )
    .join('; ');
  return {
    id: member.name,
    name: member.name === lipName ? 'Lip of the top' : `${capital(member.name)} return`,
    materialId: returnBoard.id,
    materialName: returnBoard.name,
    stock: 'board',
    widthMm: lengthMm,
    heightMm: widthMm,
    thicknessMm,
    count: 1,
    kg: (memberMm3(member) * returnBoard.densityKgM3) / 1e9,
    note: [...endsNote(member), seatNote, ...lipNote(member), ...mouthNote(member, facts.design)]
      .filter((each) => each !== '')
      .join('; '),
    member,
    layers: [
      cutOut(lengthMm, widthMm),
      ...layersByDepth('seat', [...seatsOf(member), { depthMm: member.endRabbetMm, shapes: endRabbets(member) }]),
      ...layerOf('drill', [...cornerHoles(member), ...lead, ...vents]),
    ],
  };
};

const round = (mm: number): string => `${Math.round(mm * 10) / 10}`;

/** The cut parts of a case with a lit face: four returns, back, face, a second sheet if there is one, and the film of the letters. */
export const boxParts = (facts: PartFacts): readonly CutPart[] => [
  ...facts.geometry.members.map((member) => memberPart(member, facts)),
  ...backBoards(facts),
  backPart(facts),
  facePart(facts),
  ...secondPart(facts),
  ...blockParts(facts),
  ...ledgeParts(facts),
  ...filmPart(facts),
];
