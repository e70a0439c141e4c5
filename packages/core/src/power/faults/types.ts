/**
 * One thing that is wrong with a circuit. `wire` is an index among its wires, −1 the lead of the first supply, −2 that of
 * the second and so on; `segment` is an index among its segments; `core` and `conductor` are names of conductors.
 */
export type Fault =
  | { readonly kind: 'open'; readonly wire: number; readonly conductor: string }
  | { readonly kind: 'swapped'; readonly wire: number }
  | { readonly kind: 'crossed'; readonly wire: number; readonly cores: readonly [string, string] }
  | { readonly kind: 'loose'; readonly wire: number }
  | { readonly kind: 'shorted'; readonly wire: number }
  | { readonly kind: 'data-open'; readonly wire: number }
  | { readonly kind: 'wrong-direction'; readonly segment: number }
  | { readonly kind: 'broken-strip'; readonly segment: number; readonly conductor: string }
  | { readonly kind: 'dead-group'; readonly segment: number }
  | { readonly kind: 'dead-output'; readonly supply: number; readonly output: number }
  | { readonly kind: 'dead-supply'; readonly supply: number }
  | { readonly kind: 'weak-supply'; readonly supply: number };

/** How a segment looks at full light. */
export type Appearance = 'dark' | 'partly' | 'wrong-colour' | 'flickering' | 'dim' | 'fading' | 'lit';

/** What a meter is held to, or what is looked at. */
export type Probe =
  /** Volts from a point’s plus to its minus, or to the return of a channel. */
  | { readonly kind: 'volts'; readonly point: string; readonly channel?: number }
  /** Volts from a point’s plus to the supply’s minus: whether plus comes so far. */
  | { readonly kind: 'plus'; readonly point: string }
  /** Volts from the supply’s plus to a point’s minus or the return of a channel: whether that comes so far. */
  | { readonly kind: 'minus'; readonly point: string; readonly channel?: number }
  /** Amperes in the first conductor of a wire or a lead, by clamp. */
  | { readonly kind: 'amps'; readonly wire: number }
  /** The colour of a segment when only one channel is switched on, as that channel’s number; −1 when it is dark. */
  | { readonly kind: 'colour'; readonly segment: number; readonly channel: number };

/** A reading held against what the sound circuit gives. */
export type ReadingGrade = 'none' | 'reversed' | 'low' | 'right' | 'high' | 'wrong';

/** What was measured. */
export interface Reading {
  readonly probe: Probe;
  readonly judged: ReadingGrade;
}
