import type { Point } from '../../base/outlines/index.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import { layerOf, type BoughtPart, type CutPart, type PartShape } from '../../making/parts/index.js';
import type { OwnParts } from '../common/build.js';
import type { Pile } from './heights.js';
import { inlayParts } from './inlay.js';
import { sheetPart } from '../common/sheet-part.js';
import type { LayersMaterials } from './materials.js';
import type { Scene, StandingSheet } from './scene.js';
import { trimParts } from './trim.js';

/** How a slot is told: “0.15 mm narrower than its sheet”. */
export const slotWords = (overMm: number): string =>
  Math.abs(overMm) < 0.005
    ? 'as wide as what goes into it is thick'
    : `${Math.abs(overMm).toFixed(2)} mm ${overMm > 0 ? 'narrower' : 'wider'} than what goes into it`;

const mm = (value: number): string => `${Math.round(10 * value) / 10} mm`;

/** Whether a part belongs to the scene, by its id; else it is of the case. */
export const isOfScene = (id: string): boolean => ['sheet-', 'inlay-', 'comb'].some((of) => id.startsWith(of));

/** Every pile of a scene. */
export const pilesOf = ({ sheets }: Scene): readonly Pile[] =>
  sheets.flatMap(({ carried }) => carried.flatMap(({ posts }) => posts.map(({ pile }) => pile)));

/** What a pile is made of: “12 + 3 mm”. */
export const pileWords = ({ pieces, heightMm }: Pile): string =>
  pieces.length === 0
    ? 'none, glued flat'
    : `${pieces.flatMap(({ spacer, count }) => Array.from({ length: count }, () => `${spacer.heightMm}`)).join(' + ')}${pieces.length === 1 && pieces[0]!.count === 1 ? '' : ` = ${Math.round(10 * heightMm) / 10}`} mm`;

const standingPart = (
  standing: StandingSheet,
  all: readonly StandingSheet[],
  place: number,
  { tool }: LayersMaterials,
): CutPart => {
  const { sheet, stock, slotted, parts, carried } = standing;
  // What stands on its front, and what it stands on.
  const feet = (onDrawing: (at: Point) => Point): readonly PartShape[] =>
    all
      .flatMap(({ carried: others }) => others.flatMap((each) => each.posts))
      .filter(({ on }) => on === place)
      .map(({ at, footMm }): PartShape => {
        const [x, y] = onDrawing(at);
        return { kind: 'hole', x, y, diameterMm: footMm };
      });
  const posts = carried.reduce((sum, each) => sum + each.posts.length, 0);
  const slots = carried.reduce((sum, each) => sum + each.slots.length, 0);
  return sheetPart(
    {
      id: `sheet-${standing.index + 1}`,
      name: sheet.name,
      shape: slotted,
      stock,
      note: [
        `sheet ${place + 1} of ${all.length} from the back, its rear side at ${mm(standing.rearZMm)}`,
        ...(parts.length > 1 ? [`${parts.length} pieces`] : []),
        ...(posts > 0 || slots === 0 ? [`on ${posts} ${posts === 1 ? 'spacer' : 'spacers'}`] : []),
        ...(slots > 0 ? [`${slots} ${slots === 1 ? 'slot' : 'slots'} for the combs`] : []),
        ...(standing.print === null ? [] : ['a print glued on its front before it is cut out']),
        'seen from the front',
      ].join('; '),
      besides: (onDrawing) => layerOf('mark', feet(onDrawing)),
    },
    tool,
  );
};

/** The combs, alike as a rule: one drawing each where what stands in the way makes them differ. */
const combParts = ({ combs }: Scene, { tool }: LayersMaterials): readonly CutPart[] => {
  if (combs === null) return [];
  const [first, ...rest] = combs.each;
  const alike =
    first !== undefined && rest.every(({ fromZMm, toZMm }) => fromZMm === first.fromZMm && toZMm === first.toZMm);
  return (alike ? [first] : combs.each).map(({ profile, holds }, at) =>
    sheetPart(
      {
        id: alike ? 'combs' : `comb-${at + 1}`,
        name: alike ? 'Combs' : `Comb ${at === 0 ? 'left' : 'right'}`,
        shape: profile,
        stock: combs.stock,
        count: alike ? combs.each.length : 1,
        note: `${holds.length} ${holds.length === 1 ? 'slot' : 'slots'}, each ${slotWords(combs.overMm)}; seen from the right, the back at the left; a test strip of slots is in the pack`,
      },
      tool,
    ),
  );
};

/** Spacers by their kind, as many as all piles take. */
const spacersBought = (scene: Scene): readonly BoughtPart[] => {
  const counts = new Map<string, BoughtPart>();
  for (const { pieces } of pilesOf(scene))
    for (const { spacer, count } of pieces) {
      const known = counts.get(spacer.id);
      counts.set(spacer.id, {
        id: spacer.id,
        name: spacer.name,
        unit: 'piece',
        unitPrice: spacer.price,
        hangs: true,
        quantity: (known?.quantity ?? 0) + count,
        kg: (known?.kg ?? 0) + count * spacer.kg,
      });
    }
  return [...counts.values()];
};

/** The parts of a scene: those of its case, a clear front without letters, its sheets, and the spacers. */
export const layersParts = (
  cut: readonly CutPart[],
  bought: readonly BoughtPart[],
  scene: Scene,
  materials: LayersMaterials,
  geometry: Pick<CaseGeometry, 'outside'>,
): OwnParts => ({
  cut: [
    ...cut
      .filter(({ id }) => id !== 'film')
      .map((part) =>
        part.id === 'face'
          ? { ...part, name: 'Clear front', note: 'keeps dust out; both films stay on until it is set' }
          : part,
      ),
    ...trimParts(geometry, materials.trim),
    ...scene.sheets.flatMap((sheet, place) => [
      standingPart(sheet, scene.sheets, place, materials),
      ...inlayParts(sheet, materials),
    ]),
    ...combParts(scene, materials),
  ],
  bought: [...bought, ...spacersBought(scene)],
});
