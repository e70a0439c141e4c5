import type { Catalogue } from '../../document/catalogue/index.js';
import { acrossCorners, type Fastener, type Member } from '../../joinery/members/index.js';
import { sundry, type BoughtPart } from '../../making/parts/index.js';

/** What each kind of fastener is bought as. */
const boughtAs: Readonly<Record<Fastener['kind'], readonly string[]>> = {
  screw: ['corner-screw'],
  'pocket-screw': ['pocket-screw'],
  dowel: ['dowel'],
  tenon: ['loose-tenon'],
  insert: ['insert', 'machine-screw'],
};

/** What is bought to hold the four corners of a frame. */
export const cornerFixings = (catalogue: Catalogue, members: readonly Member[]): readonly BoughtPart[] => {
  const held = acrossCorners(members);
  const kinds = [...new Set(held.map(({ kind }) => kind))];
  return [
    ...kinds.flatMap((kind) =>
      boughtAs[kind].flatMap((id) => sundry(catalogue, id, held.filter((each) => each.kind === kind).length)),
    ),
    ...sundry(catalogue, 'wood-plug', held.filter(({ plug }) => plug !== null).length),
  ];
};
