import type { Member, Seat } from '../members/index.js';

/** The edge of a member that a seat is nearer to, and how far its near side is from there (mm). */
export const referenceOf = (
  { widthMm }: Pick<Member, 'widthMm'>,
  { fromFrontMm, widthMm: seatMm }: Pick<Seat, 'fromFrontMm' | 'widthMm'>,
): { readonly reference: 'rear edge' | 'front edge'; readonly fromMm: number } => {
  const fromRearMm = widthMm - fromFrontMm - seatMm;
  return fromRearMm < fromFrontMm
    ? { reference: 'rear edge', fromMm: fromRearMm }
    : { reference: 'front edge', fromMm: fromFrontMm };
};
