import {
  surfaceColour,
  type Board,
  type Coating,
  type Exposure,
  type FaceSheet,
  type Film,
  type Lining,
  type LinearRgb,
  type Strip,
  type Supply,
  type WallFinish,
  type Wire,
} from '@vitrum/core';

/** What tells a material from the others in a list: its colour, and the figure that matters. */
export interface MaterialFacts {
  readonly swatch?: string;
  readonly detail?: string;
}

/** White paper in an even light. */
const even: Exposure = { viewer: 'camera', lux: Math.PI, perCdM2: 1, softness: null };
const swatchOf = (rgb: LinearRgb): string => surfaceColour(rgb, even);
const percent = (share: number): string => `${Math.round(100 * share)} %`;

/** A sheet or what is laid on it: what it passes. */
export const aboutSheet = (sheet: FaceSheet | Coating): MaterialFacts => {
  const tint = 'tintRgb' in sheet ? sheet.tintRgb : undefined;
  const most = Math.max(...(tint ?? [1]));
  const seen: LinearRgb =
    tint === undefined
      ? ([sheet.reflectance, sheet.reflectance, sheet.reflectance].map(
          (each) => 0.3 + 0.65 * each,
        ) as unknown as LinearRgb)
      : (tint.map((each) => (0.85 * each) / most) as unknown as LinearRgb);
  return { swatch: swatchOf(seen), detail: `passes ${percent(sheet.transmittance)}` };
};

const stuffRgb: Readonly<Record<Board['stuff'], LinearRgb>> = {
  wood: [0.52, 0.37, 0.21],
  metal: [0.55, 0.56, 0.57],
  composite: [0.8, 0.8, 0.8],
  foam: [0.9, 0.9, 0.88],
  acrylic: [0.75, 0.8, 0.82],
  glass: [0.66, 0.76, 0.72],
  film: [0.6, 0.6, 0.6],
  printed: [0.35, 0.35, 0.38],
};

/** Board: what it weighs. */
export const aboutBoard = ({ stuff, thicknessMm, densityKgM3 }: Board): MaterialFacts => ({
  swatch: swatchOf(stuffRgb[stuff]),
  detail: `${((thicknessMm / 1000) * densityKgM3).toFixed(1)} kg/m²`,
});

/** Lining: how much light it gives back. */
export const aboutLining = ({ reflectance }: Lining): MaterialFacts => ({
  swatch: swatchOf([reflectance, reflectance, reflectance]),
  detail: `${percent(reflectance)} back`,
});

/** Film: its colour by day, and the most that it passes. */
export const aboutFilm = ({ reflectanceRgb, transmittanceRgb }: Film): MaterialFacts => {
  const passes = Math.max(...transmittanceRgb);
  return { swatch: swatchOf(reflectanceRgb), detail: passes < 0.01 ? 'opaque' : `passes ${percent(passes)}` };
};

/** A wall: its colour, and how much light it gives back. */
export const aboutWall = ({ reflectanceRgb }: WallFinish): MaterialFacts => ({
  swatch: swatchOf(reflectanceRgb),
  detail: `${percent(0.2126 * reflectanceRgb[0] + 0.7152 * reflectanceRgb[1] + 0.0722 * reflectanceRgb[2])} back`,
});

/** Strip: its light and its load a metre. */
export const aboutStrip = ({ lumensPerM, wattsPerM }: Strip): MaterialFacts => ({
  detail: `${Math.round(lumensPerM)} lm/m, ${wattsPerM} W/m`,
});

export const aboutSupply = ({ watts }: Supply): MaterialFacts => ({ detail: `${watts} W` });

export const aboutWire = ({ areaMm2 }: Wire): MaterialFacts => ({ detail: `${areaMm2} mm²` });
