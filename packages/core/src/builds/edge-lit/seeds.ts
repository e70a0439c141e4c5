import { set } from '../../document/design/index.js';
import { emitterMmOf } from '../../document/catalogue/index.js';
import { suitableStrips } from '../../judging/findings/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import { edgeEntry } from '../../light/sheet/index.js';
import type { BuildWork } from '../common/build.js';
import { bestSeeds, givenLm, stripPrice, type RoughSeed } from '../common/seeds.js';
import type { PanelResults } from './results.js';

/** Strip stands so far before the edge: as near as hands put it (mm). */
const gapMm = 0.5;
/** A fill so light, as a share of the sheet that is worked, lets light reach the far end; typical. */
const fills = [1, 0.4] as const;

/** Edge-lit sheets with every strip that suits, at the edges they are lit from, as thick as the LEDs want. */
export const panelSeeds: BuildWork<PanelResults['assembly'], never, PanelResults>['seeds'] = (
  results,
  catalogue,
  aim,
) => {
  const { glow, materials, assembly, runs } = results;
  const fields = fieldsIn(results);
  const now = glow.emittedLm * glow.entry.entered;
  const cdPerLm = now > 0 ? glow.evenness.meanCdM2 / now : 1;
  const panes = catalogue.panes.filter(
    (pane) =>
      pane.stuff === materials.pane.stuff && (pane.silver === undefined) === (materials.pane.silver === undefined),
  );
  const stripM = Math.max(0.01, runs.stripMm / 1000);
  const seeds = suitableStrips(results, catalogue)
    .filter((strip) => strip.form !== 'modules' && strip.addressable !== true)
    .flatMap((strip) =>
      panes
        .filter((pane) => pane.thicknessMm >= emitterMmOf(strip) && pane.thicknessMm <= 3 * emitterMmOf(strip))
        .flatMap((pane) =>
          fills.map((fill): RoughSeed => {
            const { entered } = edgeEntry(pane, { emitterMm: emitterMmOf(strip), gapMm, offsetMm: 0 });
            return {
              kind: strip.id,
              cdM2: cdPerLm * stripM * givenLm(strip, results) * entered * (fill === 1 ? 1 : 0.7),
              price:
                stripPrice(strip, stripM) +
                (pane.price * assembly.sheet.widthMm * assembly.sheet.heightMm) /
                  (pane.sheetWidthMm * pane.sheetHeightMm),
              change: [
                set(fields.light.stripId, strip.id),
                set(fields.light.gapMm, gapMm),
                set(fields.light.offsetMm, 0),
                set(fields.sheet.paneId, pane.id),
                set(fields.artwork.fill, fill === 1 ? 'solid' : 'hatch'),
                ...(fill === 1
                  ? []
                  : [set(fields.artwork.spacingMm, Math.round((100 * materials.engraving.lineMm) / fill) / 100)]),
                set(fields.artwork.graded, null),
              ],
            };
          }),
        ),
    );
  return bestSeeds(seeds, aim);
};
