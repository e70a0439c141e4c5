import type { Point } from '../../base/outlines/index.js';
import { box, dashed, faint, measured, polyline, signal, text, type Template } from '../templates/index.js';
import { riseOf } from './cleat.js';
import { footHighMm } from './feet.js';
import { footScrewsAt } from './hang-parts.js';
import type { Cleat, Feet, Hang, HungBody } from './types.js';

const one = (mm: number): string => `${Math.round(mm * 10) / 10}`;

/** Round what is drawn (mm). */
const aroundMm = 20;

/** Both battens of a cleat from their ends, hooked: the wall to the left. */
export const cleatProfiles = ({
  thicknessMm: t,
  highMm,
}: Cleat): { readonly wall: readonly Point[]; readonly mate: readonly Point[] } => {
  const rise = riseOf(t);
  // The bevel falls toward the wall, so that the mate is drawn to it.
  const wall: readonly Point[] = [
    [0, 0],
    [t, 0],
    [t, highMm],
    [0, highMm - rise],
  ];
  const mate: readonly Point[] = [
    [0, highMm - rise],
    [t, highMm],
    [t, 2 * highMm - rise],
    [0, 2 * highMm - rise],
  ];
  return { wall, mate };
};

const cleatTemplate = (name: string, cleat: Cleat): Template => {
  const { thicknessMm: t, highMm, bevelDeg, stripMm } = cleat;
  const { wall, mate } = cleatProfiles(cleat);
  const widthMm = t + 2 * aroundMm + 90;
  const heightMm = 2 * highMm + 2 * aroundMm;
  const moved = (points: readonly Point[]): readonly Point[] => points.map(([x, y]) => [x + aroundMm, y + aroundMm]);
  return {
    title: `${name}: cleat`,
    heading: `${name} - cleat from its end`,
    widthMm,
    heightMm,
    draw: (tile) => {
      dashed(tile, aroundMm, 0, aroundMm, heightMm);
      text(tile, 'wall', 4, aroundMm, 8, faint);
      polyline(tile, moved(wall), true);
      polyline(tile, moved(mate), true);
      text(tile, 'on the sign', t + aroundMm + 8, aroundMm + 1.6 * highMm);
      text(tile, 'on the wall', t + aroundMm + 8, aroundMm + 0.3 * highMm);
      measured(tile, [t + aroundMm + 4, aroundMm], [t + aroundMm + 4, aroundMm + highMm], one(highMm));
      measured(tile, [aroundMm, aroundMm - 6], [aroundMm + t, aroundMm - 6], one(t));
      text(
        tile,
        `${bevelDeg} degrees; both from a strip ${one(stripMm)} wide, in one cut`,
        aroundMm,
        aroundMm - 14,
        8,
        signal,
      );
    },
  };
};

/** Upper corners of a foot are rounded by so much of its height, and by no more than what stands out from under the case. */
const roundShare = 0.4;
const quarterSteps = 8;

/** A foot from its side, its upper corners rounded where they stand out: from (0, 0), clockwise from the lower left. */
export const footOutline = (depthMm: number, highMm: number, standsOutMm: number): readonly Point[] => {
  const radius = Math.max(0, Math.min(roundShare * highMm, standsOutMm));
  const corner = (x: number, from: number): readonly Point[] =>
    Array.from({ length: quarterSteps + 1 }, (_, step) => {
      const turn = from - ((Math.PI / 2) * step) / quarterSteps;
      return [x + radius * Math.cos(turn), highMm - radius + radius * Math.sin(turn)];
    });
  return [[0, 0], ...corner(radius, Math.PI), ...corner(depthMm - radius, Math.PI / 2), [depthMm, 0]];
};

const feetTemplate = (name: string, { depthMm }: Feet, body: HungBody): Template => {
  const shift = Math.max(0, (body.depthMm - depthMm) / 2);
  const left = aroundMm + shift;
  const bodyLeft = left + (depthMm - body.depthMm) / 2;
  const standsMm = 30;
  return {
    title: `${name}: foot`,
    heading: `${name} - foot from its side, two of them`,
    widthMm: Math.max(depthMm, body.depthMm) + 2 * aroundMm,
    heightMm: footHighMm + standsMm + 2 * aroundMm,
    draw: (tile) => {
      const top = aroundMm + footHighMm;
      polyline(
        tile,
        footOutline(depthMm, footHighMm, (depthMm - body.depthMm) / 2).map(([x, y]) => [x + left, y + aroundMm]),
        true,
      );
      box(tile, bodyLeft, top, body.depthMm, standsMm, faint);
      text(tile, 'case, its rear to the left', bodyLeft + 3, top + 10, 8, faint);
      dashed(tile, left + depthMm / 2, aroundMm - 8, left + depthMm / 2, top + standsMm, signal);
      // Screws from below, seen from the side.
      for (const at of footScrewsAt(body)) dashed(tile, bodyLeft + at, aroundMm, bodyLeft + at, top + 12);
      measured(tile, [left, aroundMm - 6], [left + depthMm, aroundMm - 6], one(depthMm));
    },
  };
};

/** What is sawn for hanging, at true size: cleat and feet, by the name of its file. */
export const hangTemplates = (name: string, hang: Hang | null): Readonly<Record<string, Template>> => {
  if (hang === null) return {};
  const { cleat, feet, bodies } = hang;
  const [body] = bodies;
  return {
    ...(cleat === null ? {} : { 'cleat-template': cleatTemplate(name, cleat) }),
    ...(feet === null || body === undefined ? {} : { 'feet-template': feetTemplate(name, feet, body) }),
  };
};
