import { set } from '../../document/design/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import { oneChange, type Remedy, type Rule } from '../../judging/findings/index.js';
import { addRows } from '../boxes/candidates.js';
import { faceLuxOf } from './figures.js';
import { beadAtMm, beadWideMm, gluedMirror } from './glued-mirror.js';
import { clearOfBandMm, hasInnerFrame, innerFrameFor } from './inner-frame.js';
import { standsAtMm } from './on-face.js';
import type { FrameResults } from './results.js';

const one = (value: number): number => Math.round(10 * value) / 10;
const mm = (value: number): string => `${one(value)} mm`;

/** Between glue and what is frosted (mm). */
const clearOfGlueMm = 2;

/** How far the bead of a mirror that is laid on comes to what is frosted, its clearance counted (mm). */
const glueOver = (results: FrameResults): number => {
  const { shows } = results.assembly;
  if (shows.kind !== 'lit-mirror' || !gluedMirror(results)) return 0;
  const reach = beadAtMm(results) + beadWideMm / 2 + clearOfGlueMm;
  return Math.max(0, one(reach - shows.band.insetMm));
};

/** The upper edge of a mirror, from its edge in. */
const alongTop = ({ geometry: { face } }: FrameResults, fromMm: number, deepMm: number) => ({
  x: -face.widthMm / 2,
  y: face.heightMm / 2 - fromMm - deepMm,
  width: face.widthMm,
  height: deepMm,
});

/** Glue on the frosted part of a mirror. */
export const glueOnBand: Rule<FrameResults> = ({ results }) => {
  const over = glueOver(results);
  if (over <= 0) return null;
  const { insetMm } = results.assembly.shows.band;
  const nearest = beadWideMm / 2 + clearOfGlueMm;
  const bead = one(insetMm - nearest);
  const inset = Math.ceil(beadAtMm(results) + nearest);
  return {
    id: 'glue-on-band',
    severity: 'fix',
    step: 'artwork',
    what: 'Glue reaches the frosted band, and shows',
    why: `Its bead, ${mm(beadWideMm)} wide when pressed, lies ${mm(beadAtMm(results))} from the edge of the mirror; the band begins at ${mm(insetMm)}, and ${mm(clearOfGlueMm)} must stay between.`,
    numbers: [{ label: 'too near by', value: over, unit: 'mm' }],
    where: { view: 'front', rect: alongTop(results, beadAtMm(results) - beadWideMm / 2, beadWideMm) },
    target: {
      label: 'too near by',
      better: 'lower',
      unit: 'mm',
      read: glueOver,
      settled: (tried) => glueOver(tried) <= 0,
    },
    remedies: [
      ...(bead >= beadWideMm / 2
        ? [oneChange('bead-out', `Bead ${mm(bead)} from the edge`, fieldsIn(results).shows.beadMm, bead)]
        : []),
      {
        id: 'band-in',
        candidates: [
          { label: `Band ${mm(inset)} in from the edge`, change: [set(fieldsIn(results).shows.band.insetMm, inset)] },
        ],
      },
    ],
  };
};

/** How far an inner frame stands behind the band of a mirror (mm). */
const behindBand = ({ assembly, geometry }: FrameResults): number => {
  const { shows } = assembly;
  const { block, face } = geometry;
  if (block === null || !hasInnerFrame(shows, geometry)) return 0;
  const band = shows.band.insetMm + shows.band.widthMm;
  const stands = Math.min(
    face.widthMm / 2 + block.x0,
    face.widthMm / 2 - block.x1,
    face.heightMm / 2 + block.y0,
    face.heightMm / 2 - block.y1,
  );
  return Math.max(0, one(band - stands));
};

/** An inner frame in the light of the band that it carries strip for. */
export const innerFrameShades: Rule<FrameResults> = ({ results }) => {
  const behind = behindBand(results);
  if (behind <= 0) return null;
  const { assembly, geometry } = results;
  const fields = fieldsIn(results);
  const { band } = assembly.shows;
  const narrower = Math.floor(band.widthMm - behind);
  const follows: Remedy = {
    id: 'frame-within-band',
    candidates:
      innerFrameFor(geometry.face, band, geometry.lightDepthMm) === null
        ? []
        : [
            {
              label: `Inner frame ${clearOfBandMm} mm within the band, and moved with it`,
              change: [set(fields.case.block, null)],
            },
          ],
  };
  return {
    id: 'inner-frame-shades',
    severity: 'fix',
    step: 'artwork',
    what: 'The inner frame stands behind the band',
    why: `Its outer side reaches ${mm(behind)} behind the frosted part: a dark line is seen there, with the LEDs beside it.`,
    numbers: [{ label: 'behind the band', value: behind, unit: 'mm' }],
    where: { view: 'front', rect: alongTop(results, band.insetMm + band.widthMm - behind, behind) },
    target: {
      label: 'behind the band',
      better: 'lower',
      unit: 'mm',
      read: behindBand,
      settled: (tried) => behindBand(tried) <= 0,
    },
    remedies: [
      follows,
      ...(narrower >= 5
        ? [oneChange('narrower-band', `Band ${narrower} mm wide`, fields.shows.band.widthMm, narrower)]
        : []),
    ],
  };
};

/** To see oneself by at such a mirror (lx); typical for a place to dress at. */
const wantedLux = 300;
const leastLux = 150;

/** A lit mirror that leaves the face before it dark. */
export const dimBeforeMirror: Rule<FrameResults> = ({ results }) => {
  const isLit = ({ assembly }: FrameResults): boolean => assembly.shows.kind === 'lit-mirror';
  const lux = faceLuxOf(results);
  if (!isLit(results) || lux >= leastLux || lux <= 0) return null;
  const fields = fieldsIn(results);
  const { band } = results.assembly.shows;
  const { face } = results.geometry;
  const widest = Math.floor(Math.min(face.widthMm, face.heightMm) / 2 - band.insetMm - 60);
  return {
    id: 'dim-before-mirror',
    severity: 'note',
    step: 'light',
    what: 'The band lights a face before the mirror but little',
    why: `${Math.round(lux)} lx reach it at ${standsAtMm} mm; to dress by, ${wantedLux} lx are usual, from the band and the room together.`,
    numbers: [{ label: 'on the face', value: lux, unit: 'lx' }],
    where: { view: 'front', rect: alongTop(results, band.insetMm, band.widthMm) },
    target: {
      label: 'on the face',
      better: 'higher',
      unit: 'lx',
      read: faceLuxOf,
      settled: (tried) => !isLit(tried) || faceLuxOf(tried) >= leastLux,
    },
    remedies: [
      {
        id: 'wider-band',
        candidates: [1.25, 1.5, 2, 2.5, 3]
          .map((times) => Math.round(band.widthMm * times))
          .filter((wide) => wide <= widest)
          .map((wide) => ({
            label: `Band ${wide} mm wide`,
            change: [set(fields.shows.band.widthMm, wide)],
          })),
      },
      addRows(results),
    ],
  };
};
