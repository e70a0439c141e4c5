import type { SegmentStartProps } from '../common/build-page';
import { StripHandle } from './strip-handle';

/** The start of a segment in letters: a handle that pushes it along its path. */
export const LetterStart = ({ segment, view }: SegmentStartProps) => (
  <StripHandle segment={segment} at={[segment.from[0], segment.from[1]]} alongMm={0} view={view} />
);
