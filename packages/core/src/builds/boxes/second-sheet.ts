/** Play of a second sheet inside the returns, each side (mm): it stands on spacers, not in a seat. */
export const secondPlayMm = 1;
