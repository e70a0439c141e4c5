import type { BeforeHanging } from '../../judging/results/index.js';
import { sum } from '../../base/maths/index.js';
import { lipName } from '../../joinery/members/index.js';
import { centreOfAll, type HungBody, type Rail } from '../../making/hanging/index.js';
import type { Hanging } from '../common/build.js';
import { heldAtEnds } from './corner-reach.js';
import type { BoxResults } from './results.js';

/** From the inside of the returns to the middle of a fixing (mm): room for a plate, a block, a screwdriver. */
const insideReturnsMm = 30;
/** Between a fixing’s screws and strip on the back (mm). */
const clearOfStripMm = 8;
/** So far down the back a level is looked for that no strip runs along. */
const lookedDown = 0.4;

type Facts = BeforeHanging<BoxResults>;

/** The highest level on the back at which screws meet no strip (mm from the middle); the usual one where there is none. */
const clearLevel = ({ geometry: { inside }, runs, materials }: Facts): number => {
  const usual = inside.heightMm / 2 - Math.min(insideReturnsMm, inside.heightMm / 4);
  const reach = materials.strip.widthMm / 2 + clearOfStripMm;
  const rows = runs.segments.filter(({ on }) => on === 'back');
  const crosses = (y: number): boolean =>
    rows.some(({ path }) => {
      const heights = path.map(([, along]) => along);
      return y > Math.min(...heights) - reach && y < Math.max(...heights) + reach;
    });
  for (let y = usual; y > (0.5 - lookedDown) * inside.heightMm; y -= 2) if (!crosses(y)) return y;
  return usual;
};

/** Where a part of a box lies, off its rear side (mm). */
const zOf = (id: string, { geometry: { outside, back, recessMm, members } }: Facts): number => {
  if (id === 'back') return recessMm + back.thicknessMm / 2;
  const member = members.find(({ name }) => name === id);
  if (member !== undefined) return id === lipName ? outside.depthMm - member.widthMm / 2 : member.widthMm / 2;
  if (id === 'face' || id === 'film') return outside.depthMm;
  return id === 'second-sheet' ? 0.8 * outside.depthMm : recessMm + back.thicknessMm + 10;
};

const middleOf = (id: string, { geometry: { outside, members } }: Facts): readonly [number, number] => {
  const thick = members[0]?.thicknessMm ?? 0;
  const places: Readonly<Record<string, readonly [number, number]>> = {
    top: [0, (outside.heightMm - thick) / 2],
    [lipName]: [0, (outside.heightMm - thick) / 2],
    bottom: [0, (thick - outside.heightMm) / 2],
    left: [(thick - outside.widthMm) / 2, 0],
    right: [(outside.widthMm - thick) / 2, 0],
  };
  return places[id] ?? [0, 0];
};

/** Top and bottom returns, and what of their width no seat takes. */
const railsOf = ({ members }: Facts['geometry']): HungBody['rails'] => {
  const rail = (name: string): Rail | null => {
    const member = members.find((each) => each.name === name);
    if (member === undefined) return null;
    const { lengthMm, widthMm, thicknessMm, seats } = member;
    const front = Math.max(
      0,
      ...seats.filter(({ holds }) => holds === 'face').map((seat) => seat.fromFrontMm + seat.widthMm),
    );
    const rear = Math.max(
      0,
      ...seats.filter(({ holds }) => holds === 'back').map((seat) => widthMm - seat.fromFrontMm),
    );
    return {
      partId: name,
      lengthMm,
      widthMm,
      thicknessMm,
      heldMm: heldAtEnds(member, members),
      free: [rear, widthMm - front],
    };
  };
  const [top, bottom] = [rail('top'), rail('bottom')];
  return top === null || bottom === null ? null : { top, bottom };
};

/** A case hangs in one: its weight by its parts, what is bought for it on its back. */
export const boxHung = (results: Facts): readonly HungBody[] => {
  const { geometry, materials, cut, bought } = results;
  const { outside, back, inside, recessMm } = geometry;
  // What a part is glued up from is in it.
  const parts = cut
    .filter(({ hangs }) => hangs !== false)
    .map(({ id, kg, count }) => {
      const [x, y] = middleOf(id, results);
      return { kg: kg * count, centre: [x, y, zOf(id, results)] as const };
    });
  const onBack = {
    kg: sum(bought.map(({ hangs, kg }) => (hangs ? kg : 0))),
    centre: [0, 0, zOf('', results)] as const,
  };
  const level = clearLevel(results);
  const reachX = inside.widthMm / 2 - Math.min(insideReturnsMm, inside.widthMm / 6);
  const all = [...parts, onBack];
  return [
    {
      id: 'box',
      name: 'Box',
      bounds: { x: -outside.widthMm / 2, y: -outside.heightMm / 2, width: outside.widthMm, height: outside.heightMm },
      depthMm: outside.depthMm,
      kg: sum(all.map(({ kg }) => kg)),
      centre: centreOfAll(all),
      hold: {
        x: -reachX,
        y: -inside.heightMm / 2 + Math.min(insideReturnsMm, inside.heightMm / 4),
        width: 2 * reachX,
        height: level + inside.heightMm / 2 - Math.min(insideReturnsMm, inside.heightMm / 4),
      },
      recessMm,
      own: null,
      carrier: {
        partId: 'back',
        name: 'back',
        stuff: materials.backBoard.stuff,
        thicknessMm: materials.backBoard.thicknessMm,
        seen: false,
        corner: [-back.widthMm / 2, -back.heightMm / 2],
      },
      backer: null,
      rails: railsOf(geometry),
    },
  ];
};

/** A box may hang in every way; which is for its maker to say. */
export const boxHanging = (): Hanging => ({
  ways: ['keyholes', 'cleat', 'holes', 'spacers', 'brackets', 'chain', 'feet'],
  usual: null,
  standsOffMm: 0,
});
