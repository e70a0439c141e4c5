import type { ToldStep } from '../steps/index.js';
import { wayNames } from './way-names.js';
import { itemsOf } from './items.js';
import { mateScrews } from './hang.js';
import type { Hang, HangingWay, Held } from './types.js';

const mm = (value: number): string => `${Math.round(value * 10) / 10} mm`;
/** A name within a sentence: as it is but for its first letter, sizes of threads left alone. */
const lowered = (name: string): string => `${name[0]!.toLowerCase()}${name.slice(1)}`;
const counted = (count: number, what: string): string => `${count} ${what}${count === 1 ? '' : 's'}`;

/** Two people from this weight or width on (kg, mm); from this weight on somebody who answers for it (kg). */
const twoPeopleKg = 5;
const twoPeopleMm = 600;
const heavyKg = 25;

const told = (
  phase: ToldStep['phase'],
  id: string,
  title: string,
  detail: string,
  minutes: number,
  caution: string | null,
  people = 1,
): ToldStep => ({
  phase,
  id,
  title,
  detail,
  minutes,
  waitMinutes: 0,
  caution,
  ofSign: false,
  shows: { view: id === 'cleat' ? 'cleat' : 'hang' },
  ...(people === 1 ? {} : { work: { people } }),
});

const saw = 'Table saw tilted: guard and riving knife on, push stick; the piece between blade and fence can be thrown.';

/** What holds a batten or plates to the sign, after their number. */
const heldWords = (held: Held | null): string => {
  if (held === null) return '';
  const item = lowered(held.item.name);
  if (held.by === 'bolt') return ` (${item}) through the ${held.to}, nuts inside`;
  if (held.from === 'inside') return ` (${item}) from inside through the ${held.to}`;
  return ` (${item}), pilots ${mm(held.intoMm)} deep by a stop on the drill`;
};

/** What is cut for hanging. */
const sawn = ({ cleat, feet, onReturns, fixings, held }: Hang): readonly ToldStep[] => [
  ...(cleat === null
    ? []
    : [
        told(
          'cut',
          'cleat',
          'Rip both battens of the cleat in one cut',
          `From a strip ${mm(cleat.stripMm)} wide and ${mm(cleat.thicknessMm)} thick, blade tilted ${cleat.bevelDeg}°: each ${mm(cleat.highMm)} on its long side. Cut both to ${mm(cleat.wallLengthMm)}; drill the one for the wall at ${fixings.map(({ at: [x] }) => mm(x - cleat.middleMm + cleat.wallLengthMm / 2)).join(', ')} from its left end. Its mate is screwed to the ${onReturns ? 'returns' : 'back'}, bevel down and toward the wall, by ${counted(mateScrews(cleat), held?.by ?? 'screw')}${heldWords(held)}.`,
          20,
          saw,
        ),
      ]),
  ...(feet === null
    ? []
    : [
        told(
          'cut',
          'feet',
          `Cut two feet ${mm(feet.depthMm)} long`,
          'Round their upper ends where they stand out from under the case; screw them on from below once it is finished.',
          12,
          null,
        ),
      ]),
];

/** Ways by which hardware is screwed to the sign itself, and what it is. */
const hardware: Partial<Record<HangingWay, string>> = { keyholes: 'slotted plate', brackets: 'bracket' };

/** What is glued in while the case is open. */
const glued = ({ blocks, fixings, way }: Hang): readonly ToldStep[] =>
  blocks && fixings.length > 0 && (way === 'keyholes' || way === 'holes' || way === 'spacers')
    ? [
        told(
          'finish',
          'glue-blocks',
          `Glue ${counted(fixings.length, 'block')} behind the fixings`,
          'Into the corner of return and back, on the return’s side; the back is screwed to them, not glued.',
          4 * fixings.length,
          null,
        ),
      ]
    : [];

/** What is screwed on once it is painted, before strip lies over its nuts. */
const fixed = ({ fixings, way, held }: Hang): readonly ToldStep[] => {
  const what = way === null ? undefined : hardware[way];
  return what === undefined || held === null || fixings.length === 0
    ? []
    : [
        told(
          'finish',
          'hang-plates',
          `Fix ${counted(fixings.length, what)} to the sign`,
          `${held.count / fixings.length} each${heldWords(held)}${held.by === 'bolt' ? `, which stand ${mm(held.insideMm)} out: clear of strip, thread lock on each` : ''}. Level with one another, by the template.`,
          5 + 3 * fixings.length,
          null,
        ),
      ];
};

/** How many people it takes to put up what weighs and measures so much. */
export const peopleToHang = (kg: number, wideMm: number): number => (kg > twoPeopleKg || wideMm > twoPeopleMm ? 2 : 1);

/** What can hurt while it is put up. */
export const hangingCaution = (kg: number, wideMm: number, place: string): string =>
  [
    'Find cables and pipes before drilling; eye protection.',
    peopleToHang(kg, wideMm) > 1 ? 'Two people and a stable platform.' : 'A stable platform.',
    ...(kg > heavyKg || place === 'ceiling'
      ? ['Heavy or overhead: a structural professional looks at the fixings before anybody stands under it.']
      : ['Over heads or in public: local codes ask for a professional.']),
  ].join(' ');

/** What is drilled and screwed into the wall, in words. */
export const fixingWords = (hang: Hang): string =>
  itemsOf(hang)
    .map(
      ({ item, quantity }) =>
        `${quantity} × ${item.name.toLowerCase()}, hole ${mm(item.holeMm)}, ${mm(item.depthMm)} deep`,
    )
    .join('; ');

/** How wide what hangs is, over all (mm). */
const wideOf = ({ bodies }: Hang): number =>
  Math.max(0, ...bodies.map(({ bounds }) => bounds.x + bounds.width)) -
  Math.min(0, ...bodies.map(({ bounds }) => bounds.x));

/** Putting it up. */
const put = (hang: Hang, place: string): readonly ToldStep[] => {
  const { way, kg, fixings, cleat, heightMm, wall } = hang;
  const most = Math.max(0, ...fixings.map(({ load, pullKg }) => Math.hypot(load.kg, Math.max(0, pullKg))));
  const people = peopleToHang(kg, wideOf(hang));
  const weighs = `It weighs ${kg.toFixed(1)} kg`;
  if (way === null)
    return [
      told(
        'hang',
        'hang',
        'Hang it level',
        `${weighs}; how it hangs is not decided yet.`,
        30,
        hangingCaution(kg, wideOf(hang), place),
        people,
      ),
    ];
  if (way === 'stands')
    return [told('hang', 'hang', 'Set it in place', `${weighs}; on a level ground, lead to the rear.`, 5, null)];
  if (way === 'feet')
    return [told('hang', 'hang', 'Set it in place', `${weighs}; rubber under the feet, lead to the rear.`, 10, null)];
  if (fixings.length === 0)
    return [
      told(
        'hang',
        'hang',
        'Hang it level',
        `${weighs}; no fixing finds room in it: choose another way to hang it before the wall is drilled.`,
        30,
        hangingCaution(kg, wideOf(hang), place),
        people,
      ),
    ];
  const studs = wall.kind === 'studs' ? ' Find the studs first, and mark their middles.' : '';
  return [
    told(
      'hang',
      'drill-wall',
      `Drill the wall by its template: ${counted(fixings.length, 'hole')}`,
      `${fixingWords(hang)}. Middle of the sign ${mm(heightMm)} above the floor; the template by its level line, not by the ceiling.${studs}`,
      10 + 5 * fixings.length,
      hangingCaution(kg, wideOf(hang), place),
      people,
    ),
    told(
      'hang',
      'hang',
      cleat === null ? `Hang it ${wayNames[way]}` : 'Hook it on its cleat',
      `${weighs}; the most on one fixing is ${most.toFixed(1)} kg.${cleat === null ? '' : ` Hold it ${mm(cleat.liftMm)} higher, set it down, shift it into place.`} Level on the top edge.`,
      kg > 8 ? 30 : 15,
      hangingCaution(kg, wideOf(hang), place),
      people,
    ),
  ];
};

/** Steps of hanging, for where each belongs: at the saw, at the glue-up, once it is painted, at the wall. */
export interface HangSteps {
  readonly sawn: readonly ToldStep[];
  readonly glued: readonly ToldStep[];
  readonly fixed: readonly ToldStep[];
  readonly put: readonly ToldStep[];
}

/** The steps of hanging; none for what stands on another assembly. */
export const hangSteps = (hang: Hang | null, place: string): HangSteps =>
  hang === null
    ? { sawn: [], glued: [], fixed: [], put: [] }
    : { sawn: sawn(hang), glued: glued(hang), fixed: fixed(hang), put: put(hang, place) };
