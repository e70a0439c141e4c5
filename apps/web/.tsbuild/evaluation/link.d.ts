import type { Catalogue } from '@vitrum/core';
import { type EvaluationLink } from './evaluation-store';
/** The page’s one evaluation thread, started on first use; it evaluates every edit of the open document. */
export declare const startEvaluation: (catalogue: Catalogue) => EvaluationLink;
