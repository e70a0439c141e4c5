import type { FontBook } from '../../artwork/lettering/index.js';
import { memoizeLast } from '../../base/maths/index.js';
import { solidParts } from '../../base/outlines/index.js';
import { success } from '../../base/result.js';
import type { Tool } from '../../document/catalogue/index.js';
import type { Brief } from '../../document/design/index.js';
import { commonStages } from '../common/common-stages.js';
import type { LetterArtwork } from './schema.js';
import { partsOfLetters } from './splits.js';

/** The stages that every build of letters begins with, each memoized by its last calls. */
export const letteringMemos = () => ({
  ...commonStages(),
  letters: memoizeLast(solidParts),
  letterParts: memoizeLast(partsOfLetters),
});

/** Letters set, one by one and in the parts they are cut in, and held against the tool. Fails when they cannot be set. */
export const layLettering = (
  stages: ReturnType<typeof letteringMemos>,
  brief: Brief,
  artwork: LetterArtwork,
  tool: Tool,
  fonts: FontBook,
) => {
  const font = stages.font.run(artwork.fontId, artwork.ownFont ?? null, fonts);
  const set = stages.artwork.run(artwork.text ?? brief.text, artwork, font);
  if (!set.ok) return set;
  const { outline } = set.value;
  const letters = stages.letters.run(outline);
  const letterParts = stages.letterParts.run(letters, artwork.splits, artwork.registration);
  const workability = stages.workability.run(outline, tool, letterParts);
  return success({ lettering: set.value, letters, workability });
};
