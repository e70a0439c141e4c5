import type { Catalogue, Joint, JointKind } from '../../document/catalogue/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';

/** The shop’s joint of a kind, the one named where it is of that kind; the shipped one where the shop has none of it. */
export const jointOf = ({ joints }: Pick<Catalogue, 'joints'>, kind: JointKind, jointId?: string): Joint =>
  joints.find((joint) => joint.kind === kind && joint.id === jointId) ??
  joints.find((joint) => joint.kind === kind) ??
  shippedCatalogue.joints.find((joint) => joint.kind === kind)!;

/** What a joint of a kind is called in a sentence. */
export const jointWords: Readonly<Record<JointKind, string>> = {
  solder: 'soldered joint',
  clip: 'clip connector',
  plug: 'plug lead',
  lever: 'lever terminal',
  screw: 'screw terminal',
};

/** Pieces of a joint that so many ends of wires take, each of so many cores. */
export const jointPieces = ({ perCore }: Joint, cores: number): number => (perCore ? cores : 1);
