import { pathOf, set } from '../../document/design/index.js';
import type { Remedy, Rule } from '../../judging/findings/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import { boxRules } from '../boxes/rules.js';
import { dimBeforeMirror, glueOnBand, innerFrameShades } from './mirror-rules.js';
import { mirrorWorkOf } from './mirror-work.js';
import type { FrameResults } from './results.js';
import { clearSheetFor, opalBehind, opalBehindTile, opalWithin } from './sheets.js';
import { showsShutIn } from './shut-in-rule.js';

/**
 * What a frame shows stays as it is: a front sheet that is not clear blurs its print, and sanding or painting a mirror takes its
 * silver. Only what is behind it may change.
 */
const leavesShown = (results: FrameResults, remedies: readonly Remedy[]): readonly Remedy[] => {
  const { face } = fieldsIn(results);
  const shown = [pathOf(face.sheetId), pathOf(face.coats)];
  return remedies.flatMap(({ id, candidates }) => {
    const left = candidates.filter(({ change }) => !change.some(({ path }) => shown.includes(path)));
    return left.length === 0 ? [] : [{ id, candidates: left }];
  });
};

/** What hides LEDs behind a print or a mirror: an opal sheet, tight behind a print, in a groove of its own behind a tile. */
const opalIn = (results: FrameResults): readonly Remedy[] => {
  const { face, shows } = results.assembly;
  const { widthMm, heightMm } = results.geometry.face;
  if (face.second !== null && face.second !== undefined) return [];
  const second = {
    print: opalWithin(widthMm, heightMm),
    'mirror-tile': opalBehindTile(widthMm, heightMm),
    'lit-mirror': opalBehind(widthMm, heightMm),
  }[shows.kind];
  return [
    {
      id: 'opal-behind',
      candidates: [{ label: 'An opal sheet behind it', change: [set(fieldsIn(results).face.second, second)] }],
    },
  ];
};

/** A sheet or a mirror that is larger than what is sold: the large clear sheet, or a glass shop. */
const largerOnes = (results: FrameResults): readonly Remedy[] => {
  const { face, second, mirror } = results.materials;
  const over = results.packing.sheets.find(({ tooLarge }) => tooLarge.length > 0)?.materialId;
  if (over !== face.id && over !== second?.sheet.id) return [];
  const { widthMm, heightMm } = results.geometry.face;
  const fields = fieldsIn(results);
  return mirror === null
    ? [
        {
          id: 'large-clear-sheet',
          candidates: [
            {
              label: 'Clear acrylic off a large sheet',
              change: [
                set(fields.face.sheetId, clearSheetFor(widthMm, heightMm)),
                set(fields.face.second, opalWithin(widthMm, heightMm)),
              ],
            },
          ],
        },
      ]
    : [
        {
          id: 'glass-shop',
          candidates: [
            {
              label: 'Have it made by a glass shop',
              change: [
                set(fields.shows.mirrorWork, {
                  ...mirrorWorkOf(results.assembly.shows),
                  by: 'glass-shop' as const,
                }),
              ],
            },
          ],
        },
      ];
};

/** Remedies of a frame’s own, by the finding that they settle. */
const ownRemedies: Readonly<Record<string, (results: FrameResults) => readonly Remedy[]>> = {
  'dots-show': opalIn,
  'larger-than-sheet': largerOnes,
};

const ofCase = (boxRules as readonly Rule<FrameResults>[]).map((rule): Rule<FrameResults> => (asked) => {
  const found = rule(asked);
  if (found === null) return null;
  const own = ownRemedies[found.id]?.(asked.results) ?? [];
  return { ...found, remedies: [...own, ...leavesShown(asked.results, found.remedies)] };
});

/** The checks of a frame: those of a case with a lit face, and of what it shows. */
export const frameRules: readonly Rule<FrameResults>[] = [
  ...ofCase,
  showsShutIn,
  glueOnBand,
  innerFrameShades,
  dimBeforeMirror,
];
