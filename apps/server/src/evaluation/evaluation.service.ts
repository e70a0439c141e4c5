import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { Injectable } from '@nestjs/common';
import type { DesignSummary } from '@vitrum/contract';
import {
  createEvaluator,
  litPng,
  loadFontBook,
  type Catalogue,
  type Design,
  type Evaluation,
  type Evaluator,
  type FontBook,
  type Severity,
} from '@vitrum/core';

const fontFiles = createRequire(import.meta.resolve('@vitrum/core'));
const thumbnailPx = 320;

/** Bytes of a font file from the packages that ship it. */
const loadFontFile = async (file: string): Promise<ArrayBuffer> => {
  const bytes = await readFile(fontFiles.resolve(file));
  return bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength);
};

const size = ({ bounds, depthMm }: Evaluation): string =>
  [bounds.width, bounds.height, depthMm].map((value) => Math.round(value)).join(' × ') + ' mm';

/** Evaluates designs on the server: for summaries in lists, with the same core as the page. */
@Injectable()
export class EvaluationService {
  private fonts: Promise<FontBook> | null = null;

  private fontBook(): Promise<FontBook> {
    this.fonts ??= loadFontBook(loadFontFile);
    return this.fonts;
  }

  /** An evaluator of this catalogue with the shipped fonts. */
  async evaluator(catalogue: Catalogue): Promise<Evaluator> {
    return createEvaluator(catalogue, await this.fontBook());
  }

  /** The few facts that lists show; null when the design cannot be evaluated with this catalogue. */
  async summarise(design: Design, catalogue: Catalogue): Promise<DesignSummary | null> {
    const evaluation = createEvaluator(catalogue, await this.fontBook()).evaluate(design);
    if (!evaluation.ok) return null;
    const { findings, figures } = evaluation.value;
    const count = (severity: Severity): number => findings.filter((finding) => finding.severity === severity).length;
    const picture = litPng(evaluation.value, 'evening', thumbnailPx);
    return {
      size: size(evaluation.value),
      figures: figures.map(({ id, text, label }) => ({ id, text, label })),
      counts: { stop: count('stop'), fix: count('fix'), note: count('note') },
      thumbnail: `data:image/png;base64,${Buffer.from(picture).toString('base64')}`,
    };
  }
}
