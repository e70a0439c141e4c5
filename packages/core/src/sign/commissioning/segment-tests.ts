import { channelsOf, type ChannelName } from '../../document/catalogue/index.js';
import type { SignResults } from '../../judging/results/index.js';

/** When a segment is tested: loose, before its backing comes off, and once more before the sign is closed and hung. */
export type TestTime = 'loose' | 'closed';

/** One thing to see of one segment, to be ticked. */
export interface SegmentTest {
  /** Its name in the design: the same as long as the segment keeps its number. */
  readonly key: string;
  readonly segment: string;
  readonly time: TestTime;
  /** The colour that it is lit in alone; null for all of its light. */
  readonly channel: ChannelName | null;
}

/**
 * What is seen of every segment before it is stuck down, colour by colour, one after the other, and of the whole of it before
 * it is hung: a dead colour or a bad clip shows by pure colours alone.
 */
export const segmentTests = ({
  circuit,
  assemblies,
}: Pick<SignResults, 'circuit' | 'assemblies'>): readonly SegmentTest[] =>
  circuit.segments.flatMap(({ ref, label, strip }): readonly SegmentTest[] => {
    const of = assemblies.length > 1 ? `${ref.assembly} ` : '';
    const key = (time: TestTime, what: string): string => `${time} ${of}${ref.segment} ${what}`;
    const colours = channelsOf(strip).map(({ name }) => name);
    const alone = colours.length === 1 ? [null] : colours;
    return [
      ...alone.map((channel): SegmentTest => ({
        key: key('loose', channel ?? 'all'),
        segment: label,
        time: 'loose',
        channel,
      })),
      { key: key('closed', 'all'), segment: label, time: 'closed', channel: null },
    ];
  });
