import type { BeforeHanging } from '../../judging/results/index.js';
import { outlineCentroid } from '../../base/outlines/index.js';
import { sum } from '../../base/maths/index.js';
import { centreOfAll, type HungBody, type Rail } from '../../making/hanging/index.js';
import type { Hanging } from '../common/build.js';
import { membersIn } from './geometry.js';
import type { PanelResults } from './results.js';
import type { EdgeLitAssembly } from './schema.js';

type Facts = BeforeHanging<PanelResults>;

/** From the inside of the members to the middle of a fixing (mm). */
const insideMembersMm = 12;

const centreOf = (id: string, { geometry }: Facts): readonly [number, number, number] => {
  const { ring, thicknessMm, rearZMm, frontZMm, outside, holder } = geometry;
  const middle = thicknessMm / 2 - rearZMm;
  if (id === 'sheet') return [...(outlineCentroid([ring]) ?? ([0, 0] as const)), middle];
  if (holder.kind === 'base') return [0, -outside.heightMm / 2 + holder.heightMm / 2, (frontZMm - rearZMm) / 2];
  const half = holder.stockMm / 2;
  const places: Readonly<Record<string, readonly [number, number]>> = {
    top: [0, outside.heightMm / 2 - half],
    bottom: [0, half - outside.heightMm / 2],
    left: [half - outside.widthMm / 2, 0],
    right: [outside.widthMm / 2 - half, 0],
  };
  const [x, y] = places[id] ?? [0, 0];
  return [x, y, id === 'case-bottom' ? 0 : (frontZMm - rearZMm) / 2];
};

const railsOf = (results: Facts): HungBody['rails'] => {
  const members = membersIn(results.geometry);
  const rail = (name: string): Rail | null => {
    const member = members.find((each) => each.name === name);
    if (member === undefined) return null;
    const taken = Math.max(
      0,
      ...member.seats.filter(({ holds }) => holds !== 'bottom').map((seat) => seat.fromFrontMm + seat.widthMm),
    );
    const rear = Math.max(0, ...member.seats.filter(({ holds }) => holds === 'bottom').map((seat) => seat.widthMm));
    return {
      partId: name,
      lengthMm: member.lengthMm,
      widthMm: member.widthMm,
      thicknessMm: member.thicknessMm,
      heldMm: member.thicknessMm,
      free: [rear, Math.max(rear, member.widthMm - taken)],
    };
  };
  const [top, bottom] = [rail('top'), rail('bottom')];
  return top === null || bottom === null ? null : { top, bottom };
};

/** A sheet stands or hangs in one piece with its holder. */
export const panelHung = (results: Facts): readonly HungBody[] => {
  const { geometry, cut, bought } = results;
  const { outside, sheet } = geometry;
  const parts = cut.map(({ id, kg, count }) => ({ kg: kg * count, centre: centreOf(id, results) }));
  const things = { kg: sum(bought.map(({ hangs, kg }) => (hangs ? kg : 0))), centre: centreOf('bottom', results) };
  const all = [...parts, things];
  const reachX = Math.max(5, sheet.width / 2 - insideMembersMm);
  return [
    {
      id: 'panel',
      name: 'Panel',
      bounds: { x: -outside.widthMm / 2, y: -outside.heightMm / 2, width: outside.widthMm, height: outside.heightMm },
      depthMm: outside.depthMm,
      kg: sum(all.map(({ kg }) => kg)),
      centre: centreOfAll(all),
      hold: {
        x: -reachX,
        y: -outside.heightMm / 2 + 10,
        width: 2 * reachX,
        height: Math.max(1, outside.heightMm - 20),
      },
      recessMm: 0,
      own: null,
      carrier: null,
      backer: null,
      rails: railsOf(results),
    },
  ];
};

/** A base stands by itself, a frame hangs, a top lies on its case. */
export const panelHanging = ({ holder }: EdgeLitAssembly): Hanging =>
  holder.kind === 'frame'
    ? { ways: ['chain', 'brackets', 'feet'], usual: null, standsOffMm: 0 }
    : { ways: [], usual: 'stands', standsOffMm: 0 };
