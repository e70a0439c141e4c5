import type Module from 'manifold-3d';
import type { Triangles } from '../making/solids/index.js';

/** What an independent geometry kernel makes of a surface: throws unless it is closed and manifold. */
export const solidIn = (
  kernel: Awaited<ReturnType<typeof Module>>,
  triangles: Triangles,
): { readonly volume: number; readonly parts: number; readonly widthMm: number } => {
  const known = new Map<string, number>();
  const places: number[] = [];
  const corners = Array.from({ length: triangles.length / 3 }, (_, corner) => {
    const place = triangles.subarray(3 * corner, 3 * corner + 3);
    const key = [...place].map((value) => Math.fround(value)).join();
    const at = known.get(key) ?? known.size;
    if (at === known.size) {
      known.set(key, at);
      places.push(...place);
    }
    return at;
  });
  const solid = new kernel.Manifold(
    new kernel.Mesh({
      numProp: 3,
      vertProperties: Float32Array.from(places),
      triVerts: Uint32Array.from(corners),
    }),
  );
  if (solid.status() !== 'NoError') throw new Error(solid.status());
  const { min, max } = solid.boundingBox();
  return { volume: solid.volume(), parts: solid.decompose().length, widthMm: max[0] - min[0] };
};
