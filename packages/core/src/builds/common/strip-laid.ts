import type { AssemblyResults } from '../../judging/results/index.js';
import type { RawFinding } from '../../judging/findings/index.js';

/** What has to change where no strip fits: that some is laid. */
export const stripLaid: RawFinding<AssemblyResults>['target'] = {
  label: 'strip laid',
  better: 'higher',
  unit: 'm',
  read: ({ runs }) => runs.stripMm / 1000,
  settled: ({ runs }) => runs.segments.length > 0,
};
