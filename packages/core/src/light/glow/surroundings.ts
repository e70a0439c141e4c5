import type { Brief } from '../../document/design/index.js';
import { ambientLux } from './ambient.js';

/** What a sign is seen in after dark. */
export type Surroundings = NonNullable<Brief['surroundings']>;

/** The surroundings of a brief, as they are taken when it does not say. */
export const surroundingsOf = ({ surroundings, exposure }: Brief): Surroundings =>
  surroundings ?? (exposure === 'indoors' ? 'indoors' : 'town');

/**
 * Usual limits of the mean luminance of signs after dark (cd/m²), by environmental zones E1 to E4 of CIE 150:2017; local
 * rules decide, and may ask for none at all after curfew.
 */
export const nightLimitCdM2: Readonly<Record<Exclude<Surroundings, 'indoors'>, number>> = {
  country: 50,
  low: 400,
  town: 800,
  city: 1000,
};

/** Indoors a sign brighter than so many times the white wall beside it dazzles; typical. */
const timesWhiteWall = 20;
const whiteWall = 0.8;
/** Beside a sign indoors the wall has neither sun on it, nor is it ever quite dark (lx). */
const brightestLux = ambientLux.shop;
const darkestLux = ambientLux.evening;

/** The luminance that a white wall beside the sign has in the light of the place (cd/m²). */
export const wallBesideCdM2 = ({ ambient }: Brief): number =>
  (Math.min(brightestLux, Math.max(darkestLux, ambientLux[ambient])) * whiteWall) / Math.PI;

/** A sign indoors stands out well at so many times the white wall beside it; typical. */
const timesWallWanted = 3;
/** After dark a sign is pleasant at this share of the limit; typical. */
const nightShareWanted = 0.5;

/** The luminance that suits the place (cd/m²): well seen, and well under the limit. */
export const wantedCdM2 = (brief: Brief): number =>
  surroundingsOf(brief) === 'indoors'
    ? timesWallWanted * wallBesideCdM2(brief)
    : nightShareWanted * brightnessLimit(brief);

/** The most that the lit part of a sign should have on average (cd/m²): after dark, or indoors in the light of the place. */
export const brightnessLimit = (brief: Brief): number => {
  const where = surroundingsOf(brief);
  return where === 'indoors' ? timesWhiteWall * wallBesideCdM2(brief) : nightLimitCdM2[where];
};
