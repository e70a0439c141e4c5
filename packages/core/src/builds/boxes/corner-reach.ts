import { lipName, type Fastener, type Member } from '../../joinery/members/index.js';
import { backHoldOf, backPlayOf } from './back-hold.js';
import type { CaseDesign } from './schema.js';

/** Wood between what holds the corners and what holds the back (mm). */
const betweenMm = 1;

/**
 * From where to where something goes straight across a corner, off the outer side of the member that runs through (mm); null
 * for what leans or goes across a mitre. Of a dowel two thirds of the stock are bored.
 */
export const reachOf = (
  { kind, lengthMm, plug }: Fastener,
  thicknessMm: number,
): readonly [fromMm: number, toMm: number] | null => {
  if (kind === 'pocket-screw' || kind === 'tenon') return null;
  const from = kind === 'dowel' ? thicknessMm / 3 : (plug?.depthMm ?? 0);
  return [from, from + lengthMm];
};

/**
 * How far from a side edge of the back something reaches along top and bottom that holds the corners (mm): what holds the back
 * keeps clear of it. Nothing where those two run through, or corners are held by glue alone.
 */
export const cornerReachMm = ({ members }: { readonly members: readonly Member[] }, design: CaseDesign): number => {
  const beyond = members
    .filter(({ runs, ends, name }) => runs === 'through' && ends === 'square' && name !== 'top' && name !== 'bottom')
    .flatMap(({ fasteners, thicknessMm }) =>
      fasteners.flatMap((each) => {
        const reach = reachOf(each, thicknessMm);
        return reach === null ? [] : [reach[1] - (thicknessMm - design.seatMm + backPlayOf(design))];
      }),
    );
  return beyond.length === 0 ? 0 : Math.max(...beyond) + betweenMm + backHoldOf(design).boreMm / 2;
};

/** So far from each end of a member something is in it that holds its corner (mm): what goes into its ends, or across them. */
export const heldAtEnds = (member: Member, members: readonly Member[]): number => {
  if (member.runs === 'through' || member.ends === 'mitre') return member.thicknessMm;
  const through = members.find(({ runs, name }) => runs === 'through' && name !== lipName);
  if (through === undefined) return member.thicknessMm;
  const reaches = through.fasteners.flatMap((each) => reachOf(each, through.thicknessMm) ?? []);
  return Math.max(0, ...reaches) - through.thicknessMm + through.endRabbetMm;
};
