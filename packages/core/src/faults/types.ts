/**
 * One thing that is wrong with a circuit. `wire` is an index among its wires, −1 the lead of the first supply, −2 that of
 * the second and so on; `piece` is an index among its pieces.
 */
export type Fault =
  | { readonly kind: 'open'; readonly wire: number; readonly conductor: 'plus' | 'minus' }
  | { readonly kind: 'swapped'; readonly wire: number }
  | { readonly kind: 'loose'; readonly wire: number }
  | { readonly kind: 'shorted'; readonly wire: number }
  | { readonly kind: 'broken-strip'; readonly piece: number; readonly conductor: 'plus' | 'minus' }
  | { readonly kind: 'dead-group'; readonly piece: number }
  | { readonly kind: 'dead-supply'; readonly supply: number }
  | { readonly kind: 'weak-supply'; readonly supply: number };

/** How a piece looks. */
export type Look = 'dark' | 'partly' | 'dim' | 'fading' | 'lit';

/** What a meter is held to. */
export type Probe =
  /** Volts from a point’s plus to its minus. */
  | { readonly kind: 'volts'; readonly point: string }
  /** Volts from a point’s plus to the supply’s minus: whether plus comes so far. */
  | { readonly kind: 'plus'; readonly point: string }
  /** Volts from the supply’s plus to a point’s minus: whether minus comes so far. */
  | { readonly kind: 'minus'; readonly point: string }
  /** Amperes in a wire or a lead, by clamp. */
  | { readonly kind: 'amps'; readonly wire: number };

/** A reading held against what the sound circuit gives. */
export type Judged = 'none' | 'reversed' | 'low' | 'right' | 'high';

/** What was measured. */
export interface Reading {
  readonly probe: Probe;
  readonly judged: Judged;
}
