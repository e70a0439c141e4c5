/** Sums over each cell and its neighbours, twice over: rays are single, light is not. */
export const overNeighbours = (map: Float32Array, columns: number, rows: number): Float32Array => {
  let now = map;
  for (let round = 0; round < 2; round += 1) {
    const across = now.map((value, cell) => {
      const column = cell % columns;
      return value + (column > 0 ? now[cell - 1]! : 0) + (column < columns - 1 ? now[cell + 1]! : 0);
    });
    now = across.map((value, cell) => {
      const row = Math.floor(cell / columns);
      return value + (row > 0 ? across[cell - columns]! : 0) + (row < rows - 1 ? across[cell + columns]! : 0);
    });
  }
  return now;
};

/** Luminance of worked places, carried on into cells beside them, so that sharp outlines laid over it are lit to their edge. */
export const carriedOn = (map: Float32Array, known: Uint8Array, columns: number, rows: number): void => {
  for (let round = 0; round < 3; round += 1) {
    const before = known.slice();
    for (let cell = 0; cell < map.length; cell += 1) {
      if (before[cell] === 1) continue;
      const [column, row] = [cell % columns, Math.floor(cell / columns)];
      let [total, count] = [0, 0];
      for (const [dx, dy] of [
        [-1, 0],
        [1, 0],
        [0, -1],
        [0, 1],
        [-1, -1],
        [1, 1],
        [-1, 1],
        [1, -1],
      ] as const) {
        const [c, r] = [column + dx, row + dy];
        if (c < 0 || r < 0 || c >= columns || r >= rows || before[r * columns + c] === 0) continue;
        total += map[r * columns + c]!;
        count += 1;
      }
      if (count === 0) continue;
      map[cell] = total / count;
      known[cell] = 1;
    }
  }
};
