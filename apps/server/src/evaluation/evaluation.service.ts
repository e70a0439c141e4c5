import { Injectable } from '@nestjs/common';
import { createEvaluator, type Catalogue, type Evaluator, type FontBook } from '@vitrum/core';
import { shippedFonts } from './font-book.js';

/** Evaluates designs in a worker process, with the same core as the page. */
@Injectable()
export class EvaluationService {
  private fonts: Promise<FontBook> | null = null;

  /** An evaluator of this catalogue with the shipped fonts. */
  async evaluator(catalogue: Catalogue): Promise<Evaluator> {
    this.fonts ??= shippedFonts();
    return createEvaluator(catalogue, await this.fonts);
  }
}
