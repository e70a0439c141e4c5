/** A label on the screen (px): its middle, and how large it is. */
export interface Label {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

const meet = (a: Label, b: Label): boolean =>
  Math.abs(a.x - b.x) * 2 < a.width + b.width && Math.abs(a.y - b.y) * 2 < a.height + b.height;

/** Which labels are shown so that none lies on another: the first come first. Those that are left out come back closer up. */
export const thinned = (labels: readonly Label[]): readonly boolean[] => {
  const kept: Label[] = [];
  return labels.map((label) => {
    if (kept.some((other) => meet(label, other))) return false;
    kept.push(label);
    return true;
  });
};

/** About how wide figures are at a size of type (px). */
export const figureWidth = (text: string, fontPx: number): number => text.length * fontPx * 0.62;
