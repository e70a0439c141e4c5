/** Lit over unlit at which a sign reads as lit; typical. */
export const readsAsLit = 1.5;
