import type { Catalogue } from '../../document/catalogue/index.js';
import { acrossCorners, type Fastener, type Member } from '../../joinery/members/index.js';
import { sundry, type BoughtPart } from '../../making/parts/index.js';

/** Screws of corners by their length: the shop’s shortest that is as long. */
const screwItem = ({ sundries }: Catalogue, lengthMm: number): string =>
  sundries
    .filter((item) => item.id.startsWith('corner-screw') && (item.lengthMm ?? 0) >= lengthMm)
    .sort((a, b) => a.lengthMm! - b.lengthMm!)[0]?.id ?? 'corner-screw';

/** What each kind of fastener but screws is bought as. */
const boughtAs: Readonly<Record<Exclude<Fastener['kind'], 'screw'>, readonly string[]>> = {
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
    ...kinds.flatMap((kind) => {
      const own = held.filter((each) => each.kind === kind);
      const ids = kind === 'screw' ? [screwItem(catalogue, own[0]!.lengthMm)] : boughtAs[kind];
      return ids.flatMap((id) => sundry(catalogue, id, own.length));
    }),
    ...sundry(catalogue, 'wood-plug', held.filter(({ plug }) => plug !== null).length),
  ];
};
