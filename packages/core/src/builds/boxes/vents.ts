import type { CaseDesign } from './schema.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import type { BoxGlow } from '../../light/glow/index.js';
import type { Vents } from '../../power/heat/index.js';
import type { PartShape } from '../../making/parts/index.js';

type VentDesign = NonNullable<CaseDesign['vents']>;

const holeMm2 = ({ diameterMm }: VentDesign): number => (Math.PI * diameterMm ** 2) / 4;

/** The vents of a case: their area in each return, how far apart they are, and the light on the returns there. */
export const ventsOf = (
  { inside, lightDepthMm }: CaseGeometry,
  vents: VentDesign | null,
  incidentLm: BoxGlow['incidentLm'],
): Vents | null => {
  if (vents === null) return null;
  const returnM2 = (inside.widthMm * lightDepthMm) / 1e6;
  return {
    areaMm2: vents.count * holeMm2(vents),
    riseMm: inside.heightMm,
    insideLux: returnM2 > 0 ? (incidentLm.top + incidentLm.bottom) / 2 / returnM2 : 0,
  };
};

/** Vent holes of a return, evenly along it and in the middle of its depth. */
export const ventHoles = (vents: VentDesign | null, lengthMm: number, widthMm: number): readonly PartShape[] =>
  vents === null
    ? []
    : Array.from({ length: vents.count }, (_, index) => ({
        kind: 'hole',
        x: (lengthMm * (index + 1)) / (vents.count + 1),
        y: widthMm / 2,
        diameterMm: vents.diameterMm,
      }));

/** Vents worth proposing, from few and small to many and wide. */
export const ventChoices: readonly VentDesign[] = [
  { count: 4, diameterMm: 6 },
  { count: 6, diameterMm: 8 },
  { count: 10, diameterMm: 8 },
  { count: 12, diameterMm: 10 },
  { count: 20, diameterMm: 12 },
];
