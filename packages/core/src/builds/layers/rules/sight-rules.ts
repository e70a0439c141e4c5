import { set } from '../../../document/design/index.js';
import type { Candidate, Remedy, Rule } from '../../../judging/findings/index.js';
import { fieldsIn } from '../../../judging/results/index.js';
import { usualBorderMm } from '../outlines.js';
import type { LayersResults } from '../results.js';
import { liesRoundRim } from '../strip-behind.js';
import { noneLeft, placeAt } from '../../common/rule-words.js';
import { withSheet } from './common.js';

const percent = (share: number): number => Math.round(1000 * share) / 10;

/** Borders that are tried on a window, one after the other (mm). */
const widerBy = [5, 10, 15, 20, 30, 45] as const;

/** The foremost window with a wider border; one more sheet with a window where there is none. */
export const widerWindow = (results: LayersResults): Remedy => {
  const { assembly, scene, geometry, materials } = results;
  const window = [...scene.sheets].reverse().find(({ sheet }) => sheet.shape === 'window');
  const { inside } = geometry;
  const room = Math.min(inside.widthMm, inside.heightMm) / 4;
  if (window !== undefined) {
    const now = window.sheet.borderMm ?? usualBorderMm;
    return {
      id: 'wider-border',
      candidates: widerBy
        .filter((by) => now + by < room)
        .map((by): Candidate => ({
          label: `Border of ${window.sheet.name}: ${now + by} mm`,
          change: withSheet(results, window.index, { borderMm: now + by }),
        })),
    };
  }
  const stock = materials.sheets[0];
  const front = Math.max(0, ...scene.sheets.map(({ frontZMm }) => frontZMm));
  const heightMm = Math.floor(inside.depthMm - (stock?.thicknessMm ?? 3) - 2);
  return {
    id: 'add-window',
    candidates:
      heightMm <= front + 3
        ? []
        : [20, 30, 45]
            .filter((border) => border < room)
            .map((borderMm): Candidate => ({
              label: `A sheet with a window before it all, its border ${borderMm} mm`,
              change: [
                set(fieldsIn(results).scene.sheets, [
                  ...assembly.scene.sheets,
                  {
                    id: `window-${assembly.scene.sheets.length + 1}`,
                    name: 'Window',
                    shape: 'window',
                    borderMm,
                    materialId: stock?.id ?? 'ply-3',
                    colour: '#2b2620',
                    heightMm,
                  },
                ]),
              ],
            })),
  };
};

/** The strip round the rim at other heights, nearer behind the foremost sheet. */
const moveStrip = (results: LayersResults): Remedy => {
  const { assembly, scene, materials } = results;
  if (!liesRoundRim(assembly)) return { id: 'move-strip', candidates: [] };
  const half = materials.strip.widthMm / 2 + 1;
  const fields = fieldsIn(results);
  const heights = [...scene.sheets].reverse().map(({ rearZMm }) => Math.round(rearZMm - half));
  return {
    id: 'move-strip',
    candidates: [...new Set(heights)]
      .filter((height) => height > half)
      .slice(0, 4)
      .map((height): Candidate => ({
        label: `Strip ${height} mm from the back`,
        change: [set(fields.light.fromBackMm, height)],
      })),
  };
};

/** Strip behind a sheet farther in from its edge, step by step. */
const setFartherBack = (results: LayersResults): Remedy => {
  const behind = results.assembly.scene.stripBehind;
  return {
    id: 'farther-behind',
    candidates: behind
      ? [2, 4, 6, 10, 15, 20].map((by): Candidate => ({
          label: `Strip ${behind.setbackMm + by} mm in from the edge`,
          change: [set(fieldsIn(results).scene.stripBehind, { ...behind, setbackMm: behind.setbackMm + by })],
        }))
      : [],
  };
};

/** LEDs that are seen past the sheets: they dazzle, and the scene is lost. */
export const stripSeen: Rule<LayersResults> = ({ results }) => {
  const { stripSeen: share, seenAt, viewDeg } = results.scene;
  if (share === 0) return null;
  return {
    id: 'strip-seen',
    severity: 'fix',
    step: 'light',
    what: 'LEDs are seen past the sheets',
    why: `From the front or from ${Math.round(viewDeg)}° aside ${percent(share)} % of the LEDs are in sight: what overlaps them is too small. A sheet before them must reach farther in than they stand behind it, times the tangent of the viewing angle.`,
    numbers: [{ label: 'LEDs seen', value: percent(share), unit: '%' }],
    where: seenAt === null ? null : placeAt(seenAt),
    target: {
      label: 'LEDs seen',
      unit: '%',
      better: 'lower',
      read: ({ scene }) => percent(scene.stripSeen),
      settled: ({ scene }) => scene.stripSeen === 0,
    },
    remedies: [moveStrip(results), setFartherBack(results), widerWindow(results)],
  };
};

const seenPosts = ({ scene }: LayersResults) =>
  scene.sheets.flatMap(({ carried, index, sheet }) =>
    carried.flatMap(({ posts }) => posts.filter(({ seen }) => seen).map(({ at }) => ({ at, index, sheet }))),
  );

/** Spacers that show beside the sheet that they carry. */
export const spacerSeen: Rule<LayersResults> = ({ results }) => {
  const seen = seenPosts(results);
  const [first] = seen;
  if (first === undefined) return null;
  const heights = results.scene.sheets.map(({ frontZMm }) => frontZMm);
  const lower = [...new Set([0, ...heights])]
    .filter((height) => height < first.sheet.heightMm - 1)
    .sort((a, b) => b - a)
    .slice(0, 3);
  return {
    id: 'spacer-seen',
    severity: 'note',
    step: 'case',
    what: `${seen.length === 1 ? 'A spacer is' : `${seen.length} spacers are`} seen from aside`,
    why: `Under ${first.sheet.name} no place is hidden from ${Math.round(results.scene.viewDeg)}° aside: the sheet is too slim for the height that it stands at. Paint spacers that are seen like what is behind them.`,
    numbers: [{ label: 'spacers seen', value: seen.length, unit: '' }],
    where: placeAt(first.at, 8),
    target: noneLeft('spacers seen', (tried) => seenPosts(tried).length),
    remedies: [
      {
        id: 'lower-sheet',
        candidates: lower.map((height): Candidate => ({
          label: `${first.sheet.name} at ${Math.round(10 * height) / 10} mm`,
          change: withSheet(results, first.index, { heightMm: Math.round(10 * height) / 10 }),
        })),
      },
    ],
  };
};
