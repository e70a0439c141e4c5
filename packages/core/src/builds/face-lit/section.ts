import type { FaceLitMaterials } from './materials.js';
import type { FaceLitAssembly } from './schema.js';
import type { CansGeometry } from '../../light/geometry/index.js';
import type { LetterRuns } from '../../light/runs/index.js';
import { outlineBounds, rectRing, solidParts, type Outline } from '../../base/outlines/index.js';
import type { Section, SectionShape } from '../../light/section/index.js';
import { crossedAt, uprightStretches } from '../letters/upright.js';

const mm = (value: number): string => `${Math.round(value * 10) / 10} mm`;

/** Through the middle of the widest letter’s left stroke, where strip is met. */
const usualX = (outline: Outline): number => {
  const bounds = solidParts(outline).map((part) => outlineBounds(part)!);
  const widest = bounds.reduce((a, b) => (b.width > a.width ? b : a), { x: 0, y: 0, width: 0, height: 0 });
  return widest.x + widest.width * 0.12;
};

/** The slice through face-lit letters at x, top to bottom: back, returns, strip, face. */
export const faceLitSectionAt = (
  x: number,
  outline: Outline,
  geometry: CansGeometry,
  assembly: FaceLitAssembly,
  materials: FaceLitMaterials,
  runs: LetterRuns,
): Section => {
  const { wallMm, backMm, faceMm, depthInsideMm, returnWidthMm } = geometry;
  const { strip, face, returnBoard, backBoard, lining } = materials;
  const { cans } = assembly;
  const inset = cans.fit === 'inset';
  const cut = uprightStretches(outline, x).filter(([low, high]) => high - low > 2 * wallMm);
  const play = wallMm + cans.playMm;
  return {
    shapes: [
      ...cut.flatMap(([low, high]): readonly SectionShape[] => {
        const sheet = (z: number, inside: number, thick: number) =>
          rectRing({ x: z, y: low + inside, width: thick, height: Math.max(0.1, high - low - 2 * inside) });
        return [
          { role: 'back', material: backBoard.name, ring: sheet(-backMm, play, backMm) },
          {
            role: 'return',
            material: returnBoard.name,
            ring: rectRing({ x: -backMm, y: low, width: returnWidthMm, height: wallMm }),
          },
          {
            role: 'return',
            material: returnBoard.name,
            ring: rectRing({ x: -backMm, y: high - wallMm, width: returnWidthMm, height: wallMm }),
          },
          { role: 'face', material: face.name, ring: sheet(depthInsideMm, inset ? play : 0, faceMm) },
        ];
      }),
      ...crossedAt(runs, x).map((y): SectionShape => ({
        role: 'strip',
        material: strip.name,
        ring: rectRing({ x: 0, y: y - strip.widthMm / 2, width: strip.heightMm, height: strip.widthMm }),
      })),
    ],
    layers: [
      {
        name: 'face',
        detail: `${face.name}, ${inset ? `inset, ${mm(cans.playMm)} play` : 'under a trim'}`,
        at: [depthInsideMm, 0],
      },
      {
        name: 'returns',
        detail: `${returnBoard.name}, ${mm(wallMm)}, ${mm(returnWidthMm)} wide`,
        at: [depthInsideMm / 2, 0],
      },
      { name: 'gap', detail: `${mm(depthInsideMm - geometry.ledZMm)} LED to face`, at: [depthInsideMm / 2, 0] },
      { name: 'strip', detail: strip.name, at: [strip.heightMm, 0] },
      { name: 'lining', detail: `${lining.name}, reflects ${Math.round(lining.reflectance * 100)} %`, at: [0, 0] },
      { name: 'back', detail: backBoard.name, at: [-backMm, 0] },
    ],
    rearZMm: -backMm,
    frontZMm: geometry.frontZMm,
    heightMm: geometry.outside.heightMm,
    atXMm: x,
  };
};

/** The slice where it tells most. */
export const faceLitSection = (
  outline: Outline,
  geometry: CansGeometry,
  assembly: FaceLitAssembly,
  materials: FaceLitMaterials,
  runs: LetterRuns,
): Section => faceLitSectionAt(usualX(outline), outline, geometry, assembly, materials, runs);
