/** A model compared with a closed form or an independent sum. */
export interface ValidationCase {
  readonly group:
    | 'emitters'
    | 'direct light'
    | 'form factors'
    | 'reflected light'
    | 'faces'
    | 'ripple and the eye'
    | 'wall'
    | 'power'
    | 'letter-shaped cases'
    | 'circuits'
    | 'hanging'
    | 'edge-lit sheets'
    | 'layered sheets';
  readonly name: string;
  /** What it is held against, and where that comes from. */
  readonly against: string;
  /** Largest relative error allowed. */
  readonly tolerance: number;
  readonly run: () => { readonly computed: number; readonly expected: number };
}

/** A case that has been run. */
export interface ValidationResult extends Omit<ValidationCase, 'run'> {
  readonly computed: number;
  readonly expected: number;
  readonly error: number;
  readonly holds: boolean;
}
