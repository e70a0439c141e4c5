import type { Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import type { Evaluation } from '../evaluate/index.js';
import type { Finding } from '../findings/index.js';
import type { Problem } from '../result.js';

/** What a page asks of its evaluation thread. Every request has an id; a newer `evaluate` ends the one before. */
export type SessionRequest =
  | { readonly kind: 'open'; readonly id: number; readonly catalogue: Catalogue }
  | { readonly kind: 'evaluate'; readonly id: number; readonly design: Design }
  | { readonly kind: 'pack'; readonly id: number; readonly design: Design }
  | { readonly kind: 'cancel'; readonly id: number };

/** What comes back, under the request’s id. */
export type SessionReply =
  | { readonly kind: 'opened'; readonly id: number }
  | { readonly kind: 'evaluated'; readonly id: number; readonly evaluation: Evaluation }
  /** The same findings with their fixes tried. */
  | { readonly kind: 'fixes'; readonly id: number; readonly findings: readonly Finding[] }
  | { readonly kind: 'progress'; readonly id: number; readonly done: number; readonly what: string }
  | { readonly kind: 'packed'; readonly id: number; readonly zip: Uint8Array }
  | { readonly kind: 'cancelled'; readonly id: number }
  /** The input was wrong. */
  | { readonly kind: 'refused'; readonly id: number; readonly problems: readonly Problem[] }
  /** The program was wrong. */
  | { readonly kind: 'crashed'; readonly id: number; readonly message: string };
