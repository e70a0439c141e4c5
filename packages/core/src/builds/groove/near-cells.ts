/** So many rows of cells a column has at the most: more than any sign is high. */
const mostRows = 1 << 20;

/** Things by the square cell that they lie in, so that what is near is found without looking at all. */
export class NearCells {
  private readonly cells = new Map<number, number[]>();
  constructor(private readonly cellMm: number) {}

  private key(column: number, row: number): number {
    return column * mostRows + row;
  }

  /** Puts a thing, by its number, where it lies (mm). */
  add(x: number, y: number, thing: number): void {
    const key = this.key(Math.floor(x / this.cellMm), Math.floor(y / this.cellMm));
    const cell = this.cells.get(key);
    if (cell === undefined) this.cells.set(key, [thing]);
    else cell.push(thing);
  }

  /** Looks at everything in the cell of a place and in those round it: all that is within a cell’s width, and some more. */
  near(x: number, y: number, look: (thing: number) => void): void {
    const [column, row] = [Math.floor(x / this.cellMm), Math.floor(y / this.cellMm)];
    for (let dx = -1; dx <= 1; dx += 1)
      for (let dy = -1; dy <= 1; dy += 1) {
        const cell = this.cells.get(this.key(column + dx, row + dy));
        if (cell !== undefined) for (const thing of cell) look(thing);
      }
  }
}
