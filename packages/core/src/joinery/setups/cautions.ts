/** What is said wherever a saw or router table runs. */
export const sawCautions = [
  'Riving knife on, push block and feather board; eye, ear and dust protection. By the maker’s manual of the saw.',
] as const;

/** A blade below the surface of the wood is covered by it, not by its guard. */
export const channelCautions = [
  'The guard comes off for a cut that does not go through: hands stay behind the push block, and it goes back on at once.',
  ...sawCautions,
] as const;

export const routerCautions = [
  'Feed against the turning of the bit, never between bit and fence; push block; eye, ear and dust protection.',
] as const;

/** A drill that catches turns the work with it. */
export const drillCautions = [
  'Clamp the board to fence and table; no gloves or loose sleeves at a drill; eye protection.',
] as const;

/** Dropping a board on a running bit. */
export const stoppedCautions = [
  'Lower the board onto the bit against the first block and lift it at the second, both hands far from the bit; blocks clamped.',
  ...routerCautions,
] as const;

/** Dust of a sanding block. */
export const handCautions = ['Dust mask; clamp the board.'] as const;
