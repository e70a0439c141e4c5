import { outlineArea, ringLength } from '../../base/outlines/index.js';
import { sum } from '../../base/maths/index.js';
import type { ToFinish } from '../../making/finishing/index.js';
import { linesMm } from './runs.js';
import type { GrooveResults } from './results.js';

/** What of a carrier is painted, and what is glued: layers, and parts edge to edge. */
export const grooveToFinish = ({
  geometry,
  materials,
  assembly,
}: Pick<GrooveResults, 'geometry' | 'materials' | 'assembly'>): ToFinish => {
  const { outline, grooveArea, parts, sheetMm, groove } = geometry;
  const { sheet, back } = materials;
  const { carrier } = assembly;
  const frontM2 = Math.max(0, Math.abs(outlineArea(outline)) - Math.abs(outlineArea(grooveArea))) / 1e6;
  const edgesM2 = (sum(outline.map(ringLength)) * sheetMm) / 1e6;
  const groovesM2 = (linesMm(geometry) * (groove.widthMm + 2 * groove.depthMm)) / 1e6;
  const seamMm = Math.max(0, (sum(parts.flatMap((part) => part.map(ringLength))) - sum(outline.map(ringLength))) / 2);
  return {
    surfaces: sheet.clear
      ? []
      : [
          {
            id: 'front',
            name: 'front and edges',
            stuff: sheet.stuff,
            m2: frontM2 + edgesM2,
            turned: false,
            masked: carrier.whiteGroove === true ? null : 'the grooves',
            showsGrain: sheet.showsGrain,
            comesFinished: sheet.stuff === 'composite' || sheet.stuff === 'acrylic',
            fixed: null,
          },
          ...(carrier.whiteGroove === true
            ? [
                {
                  id: 'grooves',
                  name: 'floor and walls of the groove, white',
                  stuff: sheet.stuff,
                  m2: groovesM2,
                  turned: false,
                  masked: 'the front',
                  showsGrain: false,
                  comesFinished: false,
                  fixed: null,
                },
              ]
            : []),
        ],
    bonds: [
      ...(carrier.kind === 'two-layer' && back !== null
        ? [
            {
              id: 'layers',
              what: 'the back layer behind the front',
              between: [sheet.stuff, back.stuff] as const,
              // A bead along the outline and beside every line.
              mm: sum(outline.map(ringLength)) + 2 * linesMm(geometry),
              fine: true,
            },
          ]
        : []),
      ...(seamMm > 1
        ? [
            {
              id: 'seams',
              what: 'parts edge to edge',
              between: [sheet.stuff, sheet.stuff] as const,
              mm: seamMm,
              fine: true,
            },
          ]
        : []),
    ],
    shutsIn: false,
  };
};
