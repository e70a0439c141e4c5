import type { DesignSummary } from '@vitrum/contract';
import { litPng, type Evaluation, type Severity } from '@vitrum/core';

const thumbnailPx = 320;

/** What lists show of a design that cannot be built as it stands: that it stops, and no picture. */
export const unbuildable: DesignSummary = {
  size: '',
  figures: [],
  counts: { stop: 1, fix: 0, note: 0 },
  thumbnail: null,
};

const sizeWords = ({ bounds, depthMm }: Evaluation): string =>
  [bounds.width, bounds.height, depthMm].map((value) => Math.round(value)).join(' × ') + ' mm';

/** The few facts of an evaluated design that lists show, and its picture at dusk. */
export const summaryOf = (evaluation: Evaluation): DesignSummary => {
  const { findings, figures } = evaluation;
  const count = (severity: Severity): number => findings.filter((finding) => finding.severity === severity).length;
  const picture = litPng(evaluation, 'evening', thumbnailPx);
  return {
    size: sizeWords(evaluation),
    figures: figures.map(({ id, text, label }) => ({ id, text, label })),
    counts: { stop: count('stop'), fix: count('fix'), note: count('note') },
    thumbnail: `data:image/png;base64,${Buffer.from(picture).toString('base64')}`,
  };
};
