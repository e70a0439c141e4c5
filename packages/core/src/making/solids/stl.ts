import type { Triangles } from './types.js';

const headBytes = 80;
const triangleBytes = 50;

/** A surface as binary STL, in mm; `name` goes into its head. */
export const stlOf = (triangles: Triangles, name: string): Uint8Array => {
  const count = triangles.length / 9;
  const bytes = new Uint8Array(headBytes + 4 + count * triangleBytes);
  const view = new DataView(bytes.buffer);
  // Readers take a head that begins with “solid” for the text form.
  [...`Vitrum: ${name}`].slice(0, headBytes).forEach((letter, at) => view.setUint8(at, letter.charCodeAt(0) & 0x7f));
  view.setUint32(headBytes, count, true);
  for (let triangle = 0; triangle < count; triangle += 1) {
    const at = headBytes + 4 + triangle * triangleBytes;
    const [ax, ay, az, bx, by, bz, cx, cy, cz] = triangles.subarray(9 * triangle, 9 * triangle + 9) as unknown as [
      number,
      number,
      number,
      number,
      number,
      number,
      number,
      number,
      number,
    ];
    const [ux, uy, uz, vx, vy, vz] = [bx - ax, by - ay, bz - az, cx - ax, cy - ay, cz - az];
    const normal = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx] as const;
    const length = Math.hypot(...normal) || 1;
    normal.forEach((value, axis) => view.setFloat32(at + 4 * axis, value / length, true));
    for (let number = 0; number < 9; number += 1)
      view.setFloat32(at + 12 + 4 * number, triangles[9 * triangle + number]!, true);
  }
  return bytes;
};
