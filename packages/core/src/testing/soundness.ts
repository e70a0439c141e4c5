import type { Evaluation } from '../sign/evaluate/index.js';

type Odd = readonly [path: string, value: number];

/** Every number anywhere in plain data that is none, or endless, with the way to it. */
const oddNumbersIn = (value: unknown): readonly Odd[] => {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [['', value]];
  if (typeof value !== 'object' || value === null) return [];
  const found: Odd[] = [];
  // Ways are put together only for what is odd: an evaluation holds a great many numbers.
  const look = (key: string | number, inner: unknown): void => {
    for (const [path, odd] of oddNumbersIn(inner)) found.push([`.${key}${path}`, odd]);
  };
  if (ArrayBuffer.isView(value)) {
    const list = value as unknown as ArrayLike<number>;
    for (let index = 0; index < list.length; index += 1)
      if (!Number.isFinite(list[index])) found.push([`.${index}`, list[index]!]);
  } else for (const key in value) look(key, (value as Readonly<Record<string, unknown>>)[key]);
  return found;
};

/** Endless is a fair answer to “beyond which distance is it no longer seen”. */
const mayBeEndless = /vanishesAtMm|dotsVanishAtMm|threshold/;

/** Numbers of an evaluation that are none, each with its place. */
const unsound = ({ figures, findings, assemblies, circuit, cost, parts }: Evaluation): readonly string[] => {
  const own = assemblies.map(({ glow, heat, runs }) => ({ glow, heat, runs }));
  return oddNumbersIn({ figures, findings, own, circuit, cost, parts })
    .filter(([path, value]) => Number.isNaN(value) || (!Number.isFinite(value) && !mayBeEndless.test(path)))
    .map(([path, value]) => `${path} is ${value}`);
};

/** Where light goes that enters a case; builds that light what stands behind them keep no such account. */
const balanceOf = (
  glow: object,
): Readonly<Record<'emittedLm' | 'outLm' | 'absorbedFaceLm' | 'absorbedCaseLm', number>> | null =>
  (glow as { readonly balance?: ReturnType<typeof balanceOf> }).balance ?? null;

/** Light that is made or lost, assembly by assembly. */
const unbalanced = ({ assemblies }: Evaluation): readonly string[] =>
  assemblies.flatMap(({ id, glow }) => {
    const balance = balanceOf(glow);
    const { onWallLm = 0, errorShare = 0 } = glow as { readonly onWallLm?: number; readonly errorShare?: number };
    if (balance === null) {
      // What falls on the wall may have been there before: what stays there has not.
      const stays = onWallLm * (1 - glow.faceReflectance);
      return stays <= glow.emittedLm * 1.001 ? [] : [`${id}: ${stays} lm stay on the wall, of ${glow.emittedLm} lm`];
    }
    const { emittedLm, outLm, absorbedFaceLm, absorbedCaseLm } = balance;
    const off = Math.abs(outLm + absorbedFaceLm + absorbedCaseLm - emittedLm);
    // Traced light balances as well as it is known.
    return off <= Math.max(1e-3, 5 * errorShare) * emittedLm + 1e-9
      ? []
      : [`${id}: ${off} lm of ${emittedLm} lm are not accounted for`];
  });

/** Findings that say nothing, say it twice, or have no number. */
const oddFindings = ({ findings }: Evaluation): readonly string[] => {
  const seen = new Set<string>();
  return findings.flatMap(({ id, what, why, numbers, where }) => {
    const twice = seen.has(id);
    seen.add(id);
    return [
      ...(twice ? [`${id} is found twice`] : []),
      ...(/NaN|undefined|Infinity/.test(`${what} ${why}`) ? [`${id} says “${what} ${why}”`] : []),
      ...(numbers.length === 0 ? [`${id} has no number`] : []),
      ...(where !== null && !(where.rect.width >= 0 && where.rect.height >= 0) ? [`${id} is nowhere`] : []),
    ];
  });
};

/** All that is wrong with an evaluation as such, whatever the design; nothing when it is sound. */
export const flaws = (evaluation: Evaluation): readonly string[] => [
  ...unsound(evaluation),
  ...unbalanced(evaluation),
  ...oddFindings(evaluation),
  ...(evaluation.cost.perSign > 0 ? [] : ['it costs nothing']),
];
