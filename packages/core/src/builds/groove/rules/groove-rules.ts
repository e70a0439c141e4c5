import { cutsThrough } from '../../../document/catalogue/index.js';
import { set } from '../../../document/design/index.js';
import type { Rule } from '../../../judging/findings/index.js';
import { fieldsIn } from '../../../judging/results/index.js';
import { leastFloorMm, thinnestFloorMm } from '../groove-size.js';
import type { GrooveResults } from '../results.js';
import { asAsked, inTheSlice, mm, one, otherCovers, placeAt, scaled, thickerSheet } from './common.js';

/** Wider than what lies in it by so much more than its clearance it rattles (mm); typical. */
const rattlesMm = 1;

/** The widest thing that does not go in. */
const overMm = ({ geometry: { groove } }: GrooveResults): number => Math.max(0, groove.holds[0]!.mm - groove.widthMm);

/** Something that lies in the groove is wider than it. */
export const grooveNarrow: Rule<GrooveResults> = ({ results, catalogue }) => {
  const over = overMm(results);
  if (over <= 0.005) return null;
  const { groove } = results.geometry;
  const tight = groove.holds.filter(({ mm: wide }) => wide > groove.widthMm);
  return {
    id: 'groove-narrow',
    severity: 'stop',
    step: 'case',
    what: `The groove is narrower than ${tight[0]!.what}`,
    why: `It is ${mm(groove.widthMm)} wide; ${tight.map(({ what, mm: wide }) => `${what} wants ${mm(wide)}`).join(', ')}.`,
    numbers: [
      { label: 'groove', value: one(groove.widthMm), unit: 'mm' },
      { label: 'short by', value: Math.round(100 * over) / 100, unit: 'mm' },
    ],
    where: inTheSlice(results),
    target: {
      label: 'short by',
      better: 'lower',
      unit: 'mm',
      read: (tried) => Math.round(100 * overMm(tried)) / 100,
      settled: (tried) => overMm(tried) <= 0.005,
    },
    remedies: [
      { id: 'fitting-groove', candidates: [{ label: `Groove ${mm(groove.wantedMm)} wide`, change: asAsked(results) }] },
      otherCovers(
        results,
        catalogue,
        (cover) => Math.max(cover?.widthMm ?? 0, cover?.capWidthMm ?? 0) <= groove.widthMm,
      ),
    ],
  };
};

const looseMm = ({ geometry: { groove } }: GrooveResults): number => groove.widthMm - groove.wantedMm;

/** So wide that what lies in it rattles, and a pressed cover falls out. */
export const grooveLoose: Rule<GrooveResults> = ({ results }) => {
  const loose = looseMm(results);
  if (loose <= rattlesMm) return null;
  const { groove } = results.geometry;
  return {
    id: 'groove-loose',
    severity: 'fix',
    step: 'case',
    what: `${results.materials.cover === null ? 'The strip' : 'The cover'} rattles in the groove`,
    why: `It is ${mm(groove.widthMm)} wide; the widest thing in it is ${groove.holds[0]!.what} of ${mm(groove.holds[0]!.mm)}.`,
    numbers: [{ label: 'too wide by', value: one(loose), unit: 'mm' }],
    where: inTheSlice(results),
    target: {
      label: 'too wide by',
      better: 'lower',
      unit: 'mm',
      read: (tried) => one(Math.max(0, looseMm(tried))),
      settled: (tried) => looseMm(tried) <= rattlesMm,
    },
    remedies: [
      { id: 'fitting-groove', candidates: [{ label: `Groove ${mm(groove.wantedMm)} wide`, change: asAsked(results) }] },
    ],
  };
};

const leastFloor = ({ geometry }: GrooveResults): number => leastFloorMm(geometry.sheetMm);
const floorShort = (results: GrooveResults): number =>
  results.assembly.carrier.kind === 'two-layer' ? 0 : Math.max(0, leastFloor(results) - results.geometry.leftMm);

/** Too little is left under the groove. */
export const floorThin: Rule<GrooveResults> = ({ results, catalogue }) => {
  const short = floorShort(results);
  if (short <= 1e-6) return null;
  const { geometry, materials } = results;
  const { sheet, cover } = materials;
  return {
    id: 'floor-thin',
    severity: geometry.leftMm < thinnestFloorMm ? 'stop' : 'fix',
    step: 'case',
    what: `Only ${mm(geometry.leftMm)} are left ${sheet.clear ? 'in front of' : 'under'} the groove`,
    why: `The sheet is ${mm(sheet.thicknessMm)}, the groove ${mm(geometry.groove.depthMm)} deep; ${mm(thinnestFloorMm)} and a quarter of the sheet should stay (typical).`,
    numbers: [
      { label: 'left', value: one(geometry.leftMm), unit: 'mm' },
      { label: 'wanted', value: one(leastFloor(results)), unit: 'mm' },
    ],
    where: inTheSlice(results),
    target: {
      label: 'short by',
      better: 'lower',
      unit: 'mm',
      read: (tried) => one(floorShort(tried)),
      settled: (tried) => floorShort(tried) <= 1e-6,
    },
    remedies: [
      {
        id: 'fitting-groove',
        candidates: [{ label: `Groove ${mm(geometry.groove.wantedDepthMm)} deep`, change: asAsked(results) }],
      },
      thickerSheet(results, catalogue),
      otherCovers(results, catalogue, (each) => (each?.heightMm ?? 0) < (cover?.heightMm ?? Infinity)),
      {
        id: 'two-layers',
        candidates: sheet.clear
          ? []
          : [
              {
                label: 'Two layers: the upper cut through',
                change: [set(fieldsIn(results).carrier.kind, 'two-layer')],
              },
            ],
      },
    ],
  };
};

/** The bit does not go into the groove. */
export const bitTooWide: Rule<GrooveResults> = ({ results, catalogue }) => {
  const { tool, workpiece } = results.materials;
  const over = (of: GrooveResults): number => Math.max(0, of.materials.tool.cutMm - of.geometry.groove.widthMm);
  if (over(results) <= 0.01) return null;
  return {
    id: 'bit-too-wide',
    severity: 'stop',
    step: 'artwork',
    what: `${tool.name} is wider than the groove`,
    why: `It cuts ${mm(tool.cutMm)}; the groove is ${mm(results.geometry.groove.widthMm)}.`,
    numbers: [{ label: 'too wide by', value: one(over(results)), unit: 'mm' }],
    where: inTheSlice(results),
    target: {
      label: 'too wide by',
      better: 'lower',
      unit: 'mm',
      read: (tried) => one(over(tried)),
      settled: (tried) => over(tried) <= 0.01,
    },
    remedies: [
      {
        id: 'finer-tool',
        candidates: catalogue.tools
          .filter(
            (each) => each.cutMm > 0 && each.cutMm <= results.geometry.groove.widthMm && cutsThrough(each, workpiece),
          )
          .sort((a, b) => b.cutMm - a.cutMm)
          .map((each) => ({
            label: `Cut with: ${each.name}`,
            change: [set(fieldsIn(results).artwork.toolId, each.id)],
          })),
      },
    ],
  };
};

const wallShort = ({ geometry: { walls, leastWallMm } }: GrooveResults): number =>
  Math.max(0, leastWallMm - (walls.between?.mm ?? Infinity), leastWallMm - (walls.toEdge?.mm ?? Infinity));

/** Grooves run into each other, or the wall beside one is too thin to stay. */
export const wallsThin: Rule<GrooveResults> = ({ results, catalogue }) => {
  const short = wallShort(results);
  if (short <= 0.005) return null;
  const { geometry, assembly, materials } = results;
  const { walls, leastWallMm } = geometry;
  const [between, edge] = [walls.between?.mm ?? Infinity, walls.toEdge?.mm ?? Infinity];
  const worst = between <= edge ? walls.between! : walls.toEdge!;
  const meets = worst.mm <= 0;
  const outside = edge < between && meets;
  const fields = fieldsIn(results);
  const { carrier } = assembly;
  const { marginMm } = carrier;
  const { width, height } = geometry.bounds;
  const more = Math.ceil(2 * (leastWallMm - edge) + 1);
  return {
    id: outside ? 'lines-outside' : meets ? 'grooves-meet' : 'walls-thin',
    severity: meets ? 'stop' : 'fix',
    step: 'case',
    what: outside
      ? 'The lines run over the edge of the carrier'
      : meets
        ? 'Two grooves run into each other'
        : `Only ${mm(worst.mm)} of wall stay ${between <= edge ? 'between two grooves' : 'beside a groove'}`,
    why: meets
      ? `By ${mm(-worst.mm)}; ${mm(leastWallMm)} of wall should stay.`
      : `${materials.sheet.name} breaks out there as it is cut; ${mm(leastWallMm)} should stay: 2 mm, or half the depth of the groove (typical).`,
    numbers: [
      { label: 'wall', value: one(worst.mm), unit: 'mm' },
      { label: 'wanted', value: one(leastWallMm), unit: 'mm' },
    ],
    where: placeAt(results, worst.at),
    target: {
      label: 'short by',
      better: 'lower',
      unit: 'mm',
      read: (tried) => one(wallShort(tried)),
      settled: (tried) => wallShort(tried) <= 0.005,
    },
    remedies: [
      ...(edge < between && carrier.kind !== 'letters'
        ? [
            {
              id: 'larger-carrier',
              candidates:
                carrier.shape === 'rectangle'
                  ? [
                      {
                        label: `Carrier ${Math.ceil(width + more)} × ${Math.ceil(height + more)} mm`,
                        change: [
                          set(fields.carrier.widthMm, Math.min(6000, Math.ceil(width + more))),
                          set(fields.carrier.heightMm, Math.min(6000, Math.ceil(height + more))),
                        ],
                      },
                      { label: 'A rectangle round the lines', change: [set(fields.carrier.shape, 'margin')] },
                    ]
                  : carrier.shape === 'drawing'
                    ? [{ label: 'A rectangle round the lines', change: [set(fields.carrier.shape, 'margin')] }]
                    : [
                        {
                          label: `Margin ${Math.ceil(marginMm + more)} mm`,
                          change: [set(fields.carrier.marginMm, Math.ceil(marginMm + more))],
                        },
                      ],
            },
            scaled(results, [0.95, 0.9, 0.8, 0.7]),
          ]
        : [scaled(results, [1.1, 1.25, 1.5, 2])]),
      otherCovers(
        results,
        catalogue,
        (cover) =>
          (cover?.capWidthMm ?? 0) < geometry.groove.widthMm && (cover?.widthMm ?? 0) < geometry.groove.widthMm,
      ),
    ],
  };
};
