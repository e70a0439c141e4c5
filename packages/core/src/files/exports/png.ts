import { encode } from 'fast-png';
import type { Ambient } from '../../document/design/index.js';
import type { Evaluation } from '../../sign/evaluate/index.js';
import { renderSign } from '../../sign/picture/index.js';

/** The lit view under one ambient light as PNG. */
export const litPng = (evaluation: Evaluation, ambient: Ambient, widthPx: number): Uint8Array => {
  const { width, height, data } = renderSign(evaluation, ambient, widthPx);
  return encode({ width, height, data, channels: 4, depth: 8 });
};
