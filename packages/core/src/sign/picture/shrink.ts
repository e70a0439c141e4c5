import type { Picture } from './render-face.js';

/** A picture made smaller, each pixel the mean of those it stands for; one that is small enough stays. */
export const shrink = (picture: Picture, widthPx: number): Picture => {
  if (picture.width <= widthPx) return picture;
  const height = Math.max(1, Math.round((picture.height * widthPx) / picture.width));
  const data = new Uint8ClampedArray(widthPx * height * 4);
  for (let row = 0; row < height; row += 1)
    for (let column = 0; column < widthPx; column += 1) {
      const [fromX, toX] = [column, column + 1].map((at) => Math.floor((at * picture.width) / widthPx)) as [
        number,
        number,
      ];
      const [fromY, toY] = [row, row + 1].map((at) => Math.floor((at * picture.height) / height)) as [number, number];
      const sums = [0, 0, 0];
      let count = 0;
      for (let y = fromY; y < Math.max(fromY + 1, toY); y += 1)
        for (let x = fromX; x < Math.max(fromX + 1, toX); x += 1, count += 1)
          for (let channel = 0; channel < 3; channel += 1)
            sums[channel]! += picture.data[(y * picture.width + x) * 4 + channel]!;
      const at = (row * widthPx + column) * 4;
      data.set([...sums.map((sum) => sum / count), 255], at);
    }
  return { width: widthPx, height, data };
};
