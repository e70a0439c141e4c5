import { set } from '../../../document/design/index.js';
import { emitterMmOf } from '../../../document/catalogue/index.js';
import { fieldsIn } from '../../../judging/results/index.js';
import { changeStrip, oneChange, suitableStrips, type Remedy, type Rule } from '../../../judging/findings/index.js';
import { tooBright, tooDim } from '../../common/brightness-rules.js';
import { around } from '../../common/rule-words.js';
import { edgeEntry } from '../../../light/sheet/index.js';
import { fansUneven } from '../glow.js';
import type { PanelResults } from '../results.js';
import { clearSheetOf, edgeFitOf, letsInOf } from '../sheet-light.js';
import { behindOf } from '../look.js';
import { fadesAway, seenFading } from '../verdict.js';
import {
  areaFields,
  atTheEdge,
  fewerEdges,
  gradedFill,
  lighterFill,
  mm,
  moreEdges,
  one,
  onArtwork,
  perCent,
  thickerSheet,
} from './common.js';

/** More of the light past the edge than this is worth a word, and than that a fault; typical. */
const missedNoticed = 0.2;
const missedTooMuch = 0.4;

/** Strip stands beside the edge, too far from it, or is larger than it: its light lights the wood. */
export const lightMissesEdge: Rule<PanelResults> = ({ results, catalogue }) => {
  const { missed } = results.glow.entry;
  if (missed <= missedNoticed || results.runs.segments.length === 0) return null;
  const { assembly, materials, geometry } = results;
  const { light } = assembly;
  const fields = fieldsIn(results).light;
  const emitter = emitterMmOf(materials.strip);
  const fit = edgeFitOf(assembly, materials);
  const clear = clearSheetOf(assembly, materials, geometry);
  const without = (part: Partial<typeof fit>): number => edgeEntry(clear, { ...fit, ...part }).missed;
  const why = [
    ...(Math.abs(fit.offsetMm) > 0.2 && without({ offsetMm: 0 }) < missed - 0.05
      ? [`they stand ${mm(Math.abs(fit.offsetMm))} off the middle of the sheet`]
      : []),
    ...(fit.gapMm >= 1 && without({ gapMm: 0 }) < missed - 0.05 ? [`the gap is ${mm(fit.gapMm)}`] : []),
    ...(emitter > materials.pane.thicknessMm
      ? [`they are ${mm(emitter)} high, the sheet ${mm(materials.pane.thicknessMm)}`]
      : []),
  ];
  const smaller = suitableStrips(results, catalogue)
    .filter((strip) => emitterMmOf(strip) < emitter)
    .sort((a, b) => emitterMmOf(b) - emitterMmOf(a));
  return {
    id: 'light-misses-edge',
    severity: missed > missedTooMuch ? 'fix' : 'note',
    step: 'light',
    what: `${perCent(missed)} % of the light passes the edge by`,
    why: `LEDs light an edge that they stand right before${why.length > 0 ? `; ${why.join(', ')}` : ''}. What passes it lights the holder, or the eye.`,
    numbers: [
      { label: 'past the edge', value: perCent(missed), unit: '%' },
      { label: 'enters', value: perCent(results.glow.entry.entered), unit: '%' },
    ],
    where: atTheEdge(results),
    target: {
      label: 'past the edge',
      better: 'lower',
      unit: '%',
      read: ({ glow }) => perCent(glow.entry.missed),
      settled: ({ glow }) => glow.entry.missed <= missedNoticed,
    },
    remedies: [
      ...(Math.abs(light.offsetMm) > 0
        ? [oneChange('centred', 'The LEDs in the middle of the sheet', fields.offsetMm, 0)]
        : []),
      {
        id: 'closer-to-edge',
        candidates: [1, 0.5, 0.2]
          .filter((gap) => gap < light.gapMm)
          .map((gap) => ({ label: `${mm(gap)} before the edge`, change: [set(fields.gapMm, gap)] })),
      },
      {
        id: 'centred-and-close',
        candidates:
          Math.abs(light.offsetMm) > 0 && light.gapMm > 0.5
            ? [
                {
                  label: 'In the middle of the sheet, 0.5 mm before its edge',
                  change: [set(fields.offsetMm, 0), set(fields.gapMm, 0.5)],
                },
              ]
            : [],
      },
      thickerSheet(results, catalogue),
      changeStrip(results, smaller),
    ],
  };
};

/** A sawn edge scatters a good part of the light out beside itself. */
export const litEdgeRough: Rule<PanelResults> = ({ results }) => {
  const rough = (tried: PanelResults): boolean => tried.assembly.sheet.litFinish === 'sawn';
  if (!rough(results)) return null;
  const letsIn = letsInOf(results.assembly.sheet);
  return {
    id: 'lit-edge-rough',
    severity: 'fix',
    step: 'case',
    what: 'The lit edge is not polished',
    why: `A sawn edge lets in about ${perCent(letsIn)} % of what a polished one does (typical), and shows as a bright band; half an hour with wet paper and polish.`,
    numbers: [{ label: 'lost at the edge', value: perCent(1 - letsIn), unit: '%' }],
    where: atTheEdge(results),
    target: {
      label: 'sawn edges',
      better: 'lower',
      unit: '',
      read: (tried) => (rough(tried) ? tried.assembly.light.edges.length : 0),
      settled: (tried) => !rough(tried),
    },
    remedies: [oneChange('polish', 'Polish the lit edges', fieldsIn(results).sheet.litFinish, 'polished')],
  };
};

/** The artwork fades away from the lit edge. */
export const fades: Rule<PanelResults> = ({ results, catalogue }) => {
  const { patches } = results.glow;
  if (patches.meanCdM2 <= 0 || patches.evenShare >= seenFading) return null;
  const { dimmest, brightest, evenShare, sideMm } = patches;
  const mirror = behindOf(results.assembly.sheet, results.materials.pane) === 'mirror';
  return {
    id: 'fades',
    severity: evenShare < fadesAway ? 'fix' : 'note',
    step: 'face',
    what: 'The picture fades away from the strip',
    why: `Its dimmest part has ${Math.round(dimmest.cdM2)} cd/m², its brightest ${Math.round(brightest.cdM2)}: ${perCent(evenShare)} %, seen below ${perCent(seenFading)} % (typical). What is worked near the strip takes the light first${mirror ? '; silver takes 7 % at every meeting besides' : ''}.`,
    numbers: [
      { label: 'dimmest to brightest', value: perCent(evenShare), unit: '%' },
      { label: 'last to first', value: perCent(patches.lastToFirst), unit: '%' },
    ],
    where: around(dimmest.at, Math.max(10, sideMm)),
    target: {
      label: 'dimmest to brightest',
      better: 'higher',
      unit: '%',
      read: ({ glow }) => perCent(glow.patches.evenShare),
      settled: ({ glow }) => glow.patches.evenShare >= seenFading,
    },
    remedies: [gradedFill(results), lighterFill(results), moreEdges(results), thickerSheet(results, catalogue)],
  };
};

/** Nearer than this share of where they are even, single LEDs show as rays. */
const fanContrast = (results: PanelResults): number => results.glow.evenness.dots.contrast;
const fansDisappoint = 0.3;

const awayFrom = {
  bottom: ['up', 0, 1],
  top: ['down', 0, -1],
  left: ['to the right', 1, 0],
  right: ['to the left', -1, 0],
} as const;

/** What is worked nearest to a lit edge moved away from it, as far as its fans reach and the sheet has room. */
const artworkAway = (results: PanelResults): Remedy => {
  const { fans } = results.glow;
  const near = fans.nearest;
  const area = near === null ? undefined : results.areas[near.place];
  const bounds = area?.lettering.bounds ?? null;
  if (near === null || area === undefined || bounds === null || fans.nearestMm === null)
    return { id: 'artwork-away', candidates: [] };
  const short = Math.ceil(fans.evenFromMm - fans.nearestMm);
  const { seen } = results.geometry;
  const [label, right, up] = awayFrom[near.side];
  const room = {
    up: seen.y + seen.height - bounds.y - bounds.height,
    down: bounds.y - seen.y,
    'to the right': seen.x + seen.width - bounds.x - bounds.width,
    'to the left': bounds.x - seen.x,
  }[label];
  const fields = areaFields(results, area);
  return {
    id: 'artwork-away',
    candidates:
      short > 0 && short < room
        ? [
            {
              label: `Move the artwork ${short} mm ${label}`,
              change: [
                right === 0
                  ? set(fields.offsetYMm, one(area.artwork.offsetYMm + up * short))
                  : set(fields.offsetXMm, one(area.artwork.offsetXMm + right * short)),
              ],
            },
          ]
        : [],
  };
};

/** Artwork begins where the light of single LEDs has not yet run together. */
export const fansShow: Rule<PanelResults> = ({ results, catalogue }) => {
  const contrast = fanContrast(results);
  const { fans } = results.glow;
  if (contrast < fansUneven || fans.nearestMm === null) return null;
  const denser = suitableStrips(results, catalogue)
    .filter(({ ledsPerM }) => ledsPerM > results.materials.strip.ledsPerM)
    .sort((a, b) => a.ledsPerM - b.ledsPerM);
  return {
    id: 'fans-show',
    severity: contrast >= fansDisappoint ? 'fix' : 'note',
    step: 'artwork',
    what: 'Single LEDs show as rays beside the strip',
    why: `The artwork begins ${mm(fans.nearestMm)} from the lit edge; fans of LEDs ${mm(results.runs.ledPitchMm)} apart touch at ${mm(fans.touchMm)} and are even to a tenth from ${mm(fans.evenFromMm)} on.`,
    numbers: [
      { label: 'artwork begins', value: one(fans.nearestMm), unit: 'mm' },
      { label: 'even from', value: one(fans.evenFromMm), unit: 'mm' },
    ],
    where: around(fans.nearestAt, 2 * results.runs.ledPitchMm),
    target: {
      label: 'rays',
      better: 'lower',
      unit: '%',
      read: (tried) => perCent(fanContrast(tried)),
      settled: (tried) => fanContrast(tried) < fansUneven,
    },
    remedies: [artworkAway(results), changeStrip(results, denser)],
  };
};

/** Paint that takes more of the light than this is a fault. */
const paintTakes = 0.25;
const paintShare = ({ glow }: PanelResults): number => (glow.emittedLm > 0 ? glow.paintLm / glow.emittedLm : 0);

/** Paint on the sheet is no total reflection: it takes what meets it. */
export const paintTakesLight: Rule<PanelResults> = ({ results }) => {
  const share = paintShare(results);
  if (share <= paintTakes) return null;
  const field = fieldsIn(results).sheet.behind;
  return {
    id: 'paint-takes-light',
    severity: 'fix',
    step: 'face',
    what: 'Paint on the back takes the light',
    why: `Faces keep light in while there is air at them; under paint they do not: ${perCent(share)} % of all light ends there. A board behind with air between looks the same.`,
    numbers: [{ label: 'ends in the paint', value: perCent(share), unit: '%' }],
    where: onArtwork(results),
    target: {
      label: 'ends in the paint',
      better: 'lower',
      unit: '%',
      read: (tried) => perCent(paintShare(tried)),
      settled: (tried) => paintShare(tried) <= paintTakes,
    },
    remedies: [
      oneChange('board-behind', 'A black board behind it, air between', field, 'black'),
      oneChange('open-behind', 'Leave it open', field, 'open'),
    ],
  };
};

/** Too dim against the light of the place. Where nothing shines at all that is told by another rule. */
const dim = tooDim<PanelResults>({
  where: onArtwork,
  besides: 'Clear sheets before a dark ground read best.',
  remedies: (results) => [
    moreEdges(results),
    oneChange('black-behind', 'A black board behind it, air between', fieldsIn(results).sheet.behind, 'black'),
    {
      id: 'fuller',
      candidates: [
        {
          label: 'Work it all over',
          change: results.areas.flatMap((area) => {
            const fields = areaFields(results, area);
            return [set(fields.fill, 'solid'), set(fields.graded, null)];
          }),
        },
      ],
    },
  ],
});
export const panelTooDim: Rule<PanelResults> = (context) =>
  context.results.glow.patches.meanCdM2 <= 0 ? null : dim(context);

/** Brighter than the place takes. */
export const panelTooBright = tooBright<PanelResults>({
  of: ({ glow }) => glow.evenness.meanCdM2,
  lit: 'The artwork',
  less: (results) => [fewerEdges(results), lighterFill(results)],
});
