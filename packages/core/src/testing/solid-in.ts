import type Module from 'manifold-3d';
import type { Triangles } from '../making/solids/index.js';

type Kernel = Awaited<ReturnType<typeof Module>>;

/** A surface as a solid of an independent geometry kernel: throws unless it is closed and manifold. */
export const manifoldOf = (kernel: Kernel, triangles: Triangles): InstanceType<Kernel['Manifold']> => {
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
  return solid;
};

/** What the kernel makes of a surface: how much it holds, in how many pieces, how wide. */
export const solidIn = (
  kernel: Kernel,
  triangles: Triangles,
): { readonly volume: number; readonly parts: number; readonly widthMm: number } => {
  const solid = manifoldOf(kernel, triangles);
  const { min, max } = solid.boundingBox();
  return { volume: solid.volume(), parts: solid.decompose().length, widthMm: max[0] - min[0] };
};
