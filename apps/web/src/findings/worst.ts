import type { Finding } from '@vitrum/core';

const rank = { stop: 0, fix: 1, note: 2 } as const;

/** The finding that most wants mending: one that stops before one that disappoints, each in the order they are told. */
export const worstOf = (findings: readonly Finding[]): Finding | null => {
  const mendable = findings.filter(({ severity }) => severity !== 'note');
  return mendable.reduce<Finding | null>(
    (worst, finding) => (worst === null || rank[finding.severity] < rank[worst.severity] ? finding : worst),
    null,
  );
};

/** How many stop the build, disappoint, and are good to know. */
export const countWords = (findings: readonly Finding[]): string => {
  const count = (severity: Finding['severity']): number =>
    findings.filter((finding) => finding.severity === severity).length;
  const [stop, fix, note] = [count('stop'), count('fix'), count('note')];
  const words = [
    stop > 0 ? `${stop} stop${stop === 1 ? 's' : ''} the build` : '',
    fix > 0 ? `${fix} will disappoint` : '',
    note > 0 ? `${note} to know` : '',
  ].filter((each) => each !== '');
  return stop + fix === 0 ? ['Nothing to mend', ...words].join(', ') : words.join(', ');
};
