/** How far a chord may stand off its curve (mm): below any cutter's accuracy, and fine enough to find arcs again. */
export const flatnessMm = 0.002;
/** The same for letters, whose curves are many. */
export const letterFlatnessMm = 0.005;
/** However large or wild a curve, it gets no more chords than this. */
export const maxChords = 2000;
