import { inDesign, type AssemblyResults } from '../../judging/results/index.js';
import { oneChange, wholeFront, type Remedy, type Rule } from '../../judging/findings/index.js';
import { packSheets } from '../../making/packing/index.js';
import { sourceOf } from '../../power/circuit/index.js';

/** A box-shaped space inside an assembly for what is not light (mm). */
export interface RoomInside {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly depthMm: number;
  /** Nothing in it stands between the strip and the face. */
  readonly covered: boolean;
}

/** What a build says of the room inside it. */
export interface Insides<Results extends AssemblyResults> {
  readonly room: (results: Results) => RoomInside;
  /** How one gets at it again: ‘the back comes off’; null where one does not. */
  readonly access: (results: Results) => string | null;
  /** Makes room, or covers what stands in the light. */
  readonly remedies: (results: Results, gear: readonly Gear[]) => readonly Remedy[];
}

/** A thing that goes inside. */
export interface Gear {
  readonly name: string;
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** Room for fingers, air and wires between things (mm). */
const betweenMm = 8;

/** What stands higher than this share of the depth throws a shadow that the face does not melt; typical. */
const shadesFrom = 1 / 3;

/** What the design puts into this assembly: supplies and a controller go into the first. */
export const gearInside = ({ design, circuit, index }: AssemblyResults): readonly Gear[] => {
  if (index !== 0) return [];
  const { supply, supplyCount, drive } = circuit;
  const supplies =
    design.power.supplyPlace === 'inside' && supply !== null
      ? Array.from({ length: supplyCount }, (): Gear => supply)
      : [];
  const repeated = Array.from({ length: drive.amplifiers }, () => drive.amplifier);
  const drives = drive.inside ? [drive.controller, ...repeated].filter((item) => item !== null) : [];
  return [...supplies, ...drives];
};

/** What is amiss with what goes inside, and with which of it; nothing where that is empty. */
interface Trouble {
  readonly kind: 'no-room' | 'in-the-light' | 'no-access';
  readonly gear: readonly Gear[];
}

/** The things that find no place: too high for the room, or no ground left. */
const withoutPlace = (room: RoomInside, gear: readonly Gear[]): readonly Gear[] => {
  const high = gear.filter(({ heightMm }) => heightMm + betweenMm > room.depthMm);
  const low = gear.filter((each) => !high.includes(each));
  const { placed } = packSheets(
    low.map(({ name, lengthMm, widthMm }) => ({ label: name, widthMm: lengthMm, heightMm: widthMm })),
    Math.max(1, room.widthMm - 2 * betweenMm),
    Math.max(1, room.heightMm - 2 * betweenMm),
    betweenMm,
  );
  const first = placed.filter(({ sheet }) => sheet === 0).map(({ label }) => label);
  const over = low.filter(({ name }) => {
    const at = first.indexOf(name);
    if (at >= 0) first.splice(at, 1);
    return at < 0;
  });
  return [...high, ...over];
};

const outside = (results: AssemblyResults): readonly Remedy[] => [
  ...(results.design.power.supplyPlace === 'inside'
    ? [oneChange('supply-outside', 'The supply at the other end of the lead', inDesign.power.supplyPlace, 'outside')]
    : []),
  ...(results.circuit.drive.inside
    ? [oneChange('controller-outside', 'The controller beside the supply', inDesign.power.controllerPlace, 'supply')]
    : []),
];

/** Supplies, batteries and controllers inside have room there, stand in nobody’s light, and can be reached. */
export const gearFits = <Results extends AssemblyResults>(insides: Insides<Results>): Rule<Results> => {
  const trouble = (results: Results): Trouble => {
    const gear = gearInside(results);
    const room = insides.room(results);
    const lacking = withoutPlace(room, gear);
    if (lacking.length > 0) return { kind: 'no-room', gear: lacking };
    if (insides.access(results) === null && gear.length > 0) return { kind: 'no-access', gear };
    const high = gear.filter(({ heightMm }) => heightMm > shadesFrom * room.depthMm);
    return { kind: 'in-the-light', gear: room.covered ? [] : high };
  };
  return ({ results }) => {
    const { kind, gear } = trouble(results);
    const [first] = gear;
    if (first === undefined) return null;
    const room = insides.room(results);
    const { name, lengthMm, widthMm, heightMm } = first;
    const size = [lengthMm, widthMm, heightMm].map(Math.round).join(' × ');
    const has = [room.widthMm, room.heightMm, room.depthMm].map((mm) => Math.max(0, Math.floor(mm))).join(' × ');
    const battery = results.circuit.supply !== null && sourceOf(results.circuit.supply) === 'battery';
    const words = {
      'no-room': [
        'What goes inside does not fit',
        `${name} is ${size} mm; the room inside is ${has} mm, with ${betweenMm} mm round each thing.`,
      ],
      'no-access': [
        battery ? 'The battery cannot be reached' : 'What fails first cannot be reached',
        `${name} is closed up for good; ${battery ? 'it wants charging and changing' : 'supplies and controllers fail before cases do'}.`,
      ],
      'in-the-light': [
        'What stands inside shades the face',
        `${name}, ${size} mm, stands among the strip and throws its shadow.`,
      ],
    }[kind];
    return {
      id: 'gear-inside',
      severity: kind === 'no-room' ? 'stop' : 'fix',
      step: 'case',
      what: words[0]!,
      why: words[1]!,
      numbers: [
        { label: 'longest', value: lengthMm, unit: 'mm' },
        { label: 'high', value: heightMm, unit: 'mm' },
        { label: 'deep inside', value: Math.max(0, room.depthMm), unit: 'mm' },
      ],
      where: wholeFront(results),
      target: {
        label: 'things without a place',
        better: 'lower',
        unit: '',
        read: (tried) => trouble(tried).gear.length,
        settled: (tried) => trouble(tried).gear.length === 0,
      },
      remedies: [...outside(results), ...insides.remedies(results, gearInside(results))],
    };
  };
};
