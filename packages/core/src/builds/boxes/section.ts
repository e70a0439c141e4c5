import type { BoxMaterials } from './materials.js';
import type { CaseDesign } from './schema.js';
import { faceOutOf } from './way-out.js';
import { lipName, type Member } from '../../joinery/members/index.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import type { LightRuns } from '../../light/runs/index.js';
import { rectRing, subtract, type Outline } from '../../base/outlines/index.js';
import type { Section, SectionShape } from '../../light/section/index.js';
import { backHoldOf, boreDeepMm, holdEdgeMm } from './back-hold.js';
import { ledgeOf } from './ledge-parts.js';
import { looksOut } from './rim.js';
import { secondSize } from './second-sheet.js';

/** The profile of a member whose inner side lies at y = `innerY` and whose body extends by `side` × thickness. */
const memberProfile = (member: Member, innerY: number, side: 1 | -1, rearZ: number): Outline => {
  const low = Math.min(innerY, innerY + side * member.thicknessMm);
  const body = [rectRing({ x: rearZ, y: low, width: member.widthMm, height: member.thicknessMm })];
  const front = rearZ + member.widthMm;
  const seats = member.seats.map((seat) =>
    rectRing({
      x: front - seat.fromFrontMm - seat.widthMm,
      y: Math.min(innerY, innerY + side * seat.depthMm),
      width: seat.widthMm,
      height: seat.depthMm,
    }),
  );
  return subtract(body, seats);
};

/** Strip where the slice meets it: on the back, or along the top and the bottom of rim or block; a bent piece as often as it passes there. */
interface Met {
  readonly on: 'back' | 'top' | 'bottom';
  readonly y: number;
  readonly z: number;
  readonly onEdge: boolean;
  /** It looks out at the return, from a ledge. */
  readonly out: boolean;
}

const metBySlice = ({ segments }: LightRuns, { block }: CaseGeometry): readonly Met[] =>
  segments.flatMap((segment): readonly Met[] => {
    const { on, from, normal, path } = segment;
    const met = { z: from[2], onEdge: normal[2] === 0, out: looksOut(segment) };
    if (on === 'back' || on === 'top' || on === 'bottom') return [{ ...met, on, y: from[1] }];
    if (on !== 'rim' && on !== 'block') return [];
    const middle = on === 'block' && block !== null ? (block.y0 + block.y1) / 2 : 0;
    const out = on === 'block' || met.out;
    const crossings = path.slice(1).flatMap(([x, y], at) => {
      const before = path[at]![0];
      return before * x <= 0 && before !== x ? [y] : [];
    });
    return crossings.map((y) => ({ ...met, out, on: y > middle ? ('top' as const) : ('bottom' as const), y }));
  });

const stripShapes = (runs: LightRuns, geometry: CaseGeometry, { strip }: BoxMaterials): readonly SectionShape[] => {
  const half = strip.widthMm / 2;
  return metBySlice(runs, geometry).map(({ on, y, z, onEdge, out }) => {
    const outward = on === 'top' ? 1 : -1;
    // On a return its body is outside of its LEDs, on a ledge inside of them.
    const other = y + (out ? -outward : outward) * strip.heightMm;
    return {
      role: 'strip' as const,
      material: strip.name,
      ring:
        on !== 'back'
          ? rectRing({ x: z - half, y: Math.min(y, other), width: strip.widthMm, height: strip.heightMm })
          : onEdge
            ? rectRing({ x: 0, y: y - strip.heightMm / 2, width: strip.widthMm, height: strip.heightMm })
            : rectRing({ x: 0, y: y - half, width: strip.heightMm, height: strip.widthMm }),
    };
  });
};

/** The rails of a ledge where the slice meets them: inside of the strip, on the back. */
const ledgeShapes = (runs: LightRuns, materials: BoxMaterials): readonly SectionShape[] => {
  const ledge = ledgeOf({ runs, materials });
  if (ledge === null) return [];
  const { thicknessMm, name } = materials.returnBoard;
  const half = ledge.heightMm / 2;
  return (['top', 'bottom'] as const)
    .filter((side) => ledge.sides.includes(side))
    .map((side) => ({
      role: 'block' as const,
      material: name,
      ring: rectRing({
        x: 0,
        y: side === 'top' ? half - thicknessMm : -half,
        width: ledge.depthMm,
        height: thicknessMm,
      }),
    }));
};

/** What holds the back, where the slice meets it at the top and the bottom: in its bore, or over the rear edges. */
const holdShapes = ({ back, inside, members, recessMm }: CaseGeometry, design: CaseDesign): readonly SectionShape[] => {
  const hold = backHoldOf(design);
  const { name, boreMm: bore, proudMm, holeMm } = hold;
  const deep = boreDeepMm(hold, back.thicknessMm);
  const overMm = (members[0]?.thicknessMm ?? 0) / 2;
  return ([1, -1] as const).map((side) => {
    const y = side * (back.heightMm / 2 - holdEdgeMm(design));
    const edge = (side * inside.heightMm) / 2;
    return {
      role: 'fixing' as const,
      material: `back ${name}`,
      ring:
        holeMm === null
          ? rectRing({
              x: -back.thicknessMm - recessMm - proudMm,
              y: Math.min(edge + side * (design.seatMm + overMm / 2), edge - side * overMm),
              width: proudMm,
              height: design.seatMm + 1.5 * overMm,
            })
          : rectRing({ x: -back.thicknessMm, y: y - bore / 2, width: back.thicknessMm + deep, height: bore }),
    };
  });
};

const secondShapes = (
  geometry: CaseGeometry,
  design: CaseDesign,
  { second }: BoxMaterials,
): readonly SectionShape[] => {
  if (second === null) return [];
  const { thicknessMm, name } = second.sheet;
  const { heightMm } = secondSize(geometry, design, second);
  return [
    {
      role: 'face',
      material: name,
      ring: rectRing({
        x: geometry.inside.depthMm - second.gapMm - thicknessMm,
        y: -heightMm / 2,
        width: thicknessMm,
        height: heightMm,
      }),
    },
  ];
};

/** The lid of a block in the slice, by what it is called there: an inner frame has none. */
export const blockLid = 'front of the block';

/** A block is a box of boards, open toward the back. */
const blockShapes = ({ block }: CaseGeometry, { backBoard }: BoxMaterials): readonly SectionShape[] => {
  if (block === null) return [];
  const { y0, y1, heightMm } = block;
  const t = Math.min(backBoard.thicknessMm, heightMm / 2, (y1 - y0) / 2);
  const shape = (material: string, x: number, y: number, width: number, height: number): SectionShape => ({
    role: 'block',
    material,
    ring: rectRing({ x, y, width, height }),
  });
  return [
    shape(blockLid, heightMm - t, y0 + t, t, y1 - y0 - 2 * t),
    shape('block', 0, y0, heightMm, t),
    shape('block', 0, y1 - t, heightMm, t),
  ];
};

const millimetres = (value: number): string => `${Math.round(value * 10) / 10} mm`;

const outWords = {
  never: '',
  'top-off': ', top comes off',
  'open-top': ', open above',
  'lip-back': ', lip of the top glued on last',
} as const;

const seatText: Readonly<Record<CaseDesign['retention'], (design: CaseDesign, geometry: CaseGeometry) => string>> = {
  rabbet: (design, geometry) =>
    `rabbet ${millimetres(design.seatMm)} × ${millimetres(geometry.face.thicknessMm)} for the face`,
  groove: (design) =>
    `groove ${millimetres(design.seatMm)} deep, lip ${millimetres(design.lipMm)}${outWords[faceOutOf(design)]}`,
  'laid-on': () => 'face laid on the front edges',
};

const coatNames = (coats: BoxMaterials['faceCoats']): string =>
  coats
    .map(({ coating, coats: count }) =>
      count === 1 ? coating.name.toLowerCase() : `${coating.name.toLowerCase()}, ${count} coats`,
    )
    .join(', ');

const faceDetail = ({ face, faceCoats }: BoxMaterials): string =>
  faceCoats.length === 0
    ? `${face.name}, passes ${percent(face.transmittance)}`
    : `${face.name}; inside: ${coatNames(faceCoats)}`;

const secondLayer = ({ inside }: CaseGeometry, { second }: BoxMaterials): Section['layers'] =>
  second === null
    ? []
    : [
        {
          name: 'second',
          detail: [
            second.sheet.name,
            ...(second.coats.length > 0 ? [coatNames(second.coats)] : []),
            second.gapMm > 0 ? `${millimetres(second.gapMm)} behind the face` : 'tight behind the face',
            ...(second.seated ? [second.gapMm > 0 ? 'in its own groove' : 'in one groove with it'] : []),
          ].join('; '),
          at: [inside.depthMm - second.gapMm - second.sheet.thicknessMm / 2, inside.heightMm * 0.3],
        },
      ];

const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** The section of a case with a lit face, top to bottom. */
export const boxSection = (
  geometry: CaseGeometry,
  design: CaseDesign,
  materials: BoxMaterials,
  runs: LightRuns,
): Section => {
  const { inside, outside, face, back, recessMm } = geometry;
  const rearZ = -back.thicknessMm - recessMm;
  const half = inside.heightMm / 2;
  const [top, bottom] = geometry.members;
  const lip = geometry.members.find(({ name }) => name === lipName);
  const returnShape = (member: Member | undefined, y: number, side: 1 | -1, fromZ = rearZ): readonly SectionShape[] =>
    member === undefined
      ? []
      : memberProfile(member, y, side, fromZ).map((ring) => ({
          role: 'return',
          material: materials.returnBoard.name,
          ring,
        }));
  const sheet = (z: number, size: { heightMm: number; thicknessMm: number }) =>
    rectRing({ x: z, y: -size.heightMm / 2, width: size.thicknessMm, height: size.heightMm });
  const firstRow = runs.segments.find(({ on }) => on === 'back');
  const round = runs.segments.some(({ on }) => on === 'block') ? 'round the block' : 'round the rim';
  const pitch = runs.rowPitchMm === null ? round : `row pitch ${millimetres(runs.rowPitchMm)}`;
  return {
    shapes: [
      ...returnShape(top, half, 1),
      ...returnShape(lip, half, 1, rearZ + (top?.widthMm ?? 0)),
      ...returnShape(bottom, -half, -1),
      { role: 'back', material: materials.backBoard.name, ring: sheet(-back.thicknessMm, back) },
      { role: 'face', material: materials.face.name, ring: sheet(inside.depthMm, face) },
      ...holdShapes(geometry, design),
      ...secondShapes(geometry, design, materials),
      ...blockShapes(geometry, materials),
      ...ledgeShapes(runs, materials),
      ...stripShapes(runs, geometry, materials),
    ],
    layers: [
      {
        name: 'returns',
        detail: `${materials.returnBoard.name}, ${seatText[design.retention](design, geometry)}`,
        at: [inside.depthMm * 0.6, half + materials.returnBoard.thicknessMm / 2],
      },
      {
        name: 'face',
        detail: faceDetail(materials),
        at: [inside.depthMm + face.thicknessMm / 2, half * 0.6],
      },
      ...secondLayer(geometry, materials),
      {
        name: 'gap',
        detail: `${millimetres(runs.throwMm)} LED to ${materials.second === null ? 'face' : 'second sheet'}, ${pitch}`,
        at: [inside.depthMm * 0.72, half * 0.2],
      },
      {
        name: 'strip',
        detail: `${materials.strip.name}`,
        at: [firstRow === undefined ? inside.depthMm / 2 : materials.strip.heightMm, firstRow?.from[1] ?? half - 1],
      },
      {
        name: 'lining',
        detail: `${materials.lining.name}, reflects ${percent(materials.lining.reflectance)}`,
        at: [inside.depthMm * 0.4, -half],
      },
      {
        name: 'back',
        detail: `${materials.backBoard.name}, ${backHoldOf(design).name}: opens for service`,
        at: [-back.thicknessMm / 2, -half * 0.6],
      },
    ],
    rearZMm: rearZ,
    frontZMm: rearZ + outside.depthMm,
    heightMm: outside.heightMm,
    atXMm: 0,
  };
};
