/** How wires are joined to strip and to each other. */
export type JointKind = 'solder' | 'clip' | 'plug' | 'lever' | 'screw';

/** A kind of joint: resistance of one contact (Ω) and the current it may carry (A); typical, of small low-voltage parts. */
export interface Joint {
  readonly kind: JointKind;
  readonly name: string;
  readonly ohm: number;
  readonly ratedA: number;
  /** Wire bared for it (mm). */
  readonly stripMm: number;
}

export const joints: readonly Joint[] = [
  { kind: 'solder', name: 'soldered joint', ohm: 0.001, ratedA: 10, stripMm: 3 },
  { kind: 'clip', name: 'clip connector', ohm: 0.02, ratedA: 3, stripMm: 5 },
  { kind: 'plug', name: 'plug lead', ohm: 0.008, ratedA: 3, stripMm: 5 },
  { kind: 'lever', name: 'lever terminal', ohm: 0.002, ratedA: 16, stripMm: 11 },
  { kind: 'screw', name: 'screw terminal', ohm: 0.003, ratedA: 10, stripMm: 6 },
];

export const jointOf = (kind: JointKind): Joint => joints.find((joint) => joint.kind === kind)!;
