/** Set-ups of the same setting as one, with all their members; in the order in which each was first asked for. */
export const together = <SetUp extends { readonly members: readonly string[] }>(
  setUps: readonly SetUp[],
  agree: (a: SetUp, b: SetUp) => boolean,
): readonly SetUp[] =>
  setUps.reduce<readonly SetUp[]>((known, next) => {
    const same = known.findIndex((each) => agree(each, next));
    if (same < 0) return [...known, next];
    return known.map((each, at) => (at === same ? { ...each, members: [...each.members, ...next.members] } : each));
  }, []);

/** Whether two settings are the same number (mm). */
export const near = (a: number, b: number): boolean => Math.abs(a - b) < 1e-6;
