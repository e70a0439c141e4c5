import type { OverlayProps } from '../common/build-page';
import { BackerLine } from './backer-line';
import { SplitLines } from './split-lines';

/** What is always drawn of letters: where they are cut in two, and the edge of their backer. */
export const LetterLines = (props: OverlayProps) => (
  <>
    <BackerLine {...props} />
    <SplitLines {...props} />
  </>
);
