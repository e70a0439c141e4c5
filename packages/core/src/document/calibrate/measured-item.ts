import type { Catalogue, Measured, Stuff, Tool } from '../catalogue/index.js';
import { failure, success, type Problem, type Result } from '../../base/result.js';

/** The lists whose figures a shop can measure. */
export const measurableKinds = ['strips', 'faces', 'coatings', 'linings', 'tools', 'cutters'] as const;
export type MeasurableKind = (typeof measurableKinds)[number];

/** Figures that readings may replace. */
export interface MeasuredFigures {
  readonly transmittance?: number | undefined;
  readonly reflectance?: number | undefined;
  readonly sigmaDeg?: number | undefined;
  readonly hazeShare?: number | undefined;
  readonly lumensPerM?: number | undefined;
  readonly wattsPerM?: number | undefined;
  readonly cutMm?: number | undefined;
  /** What the width of a cut was measured in; of a tool alone. */
  readonly stuff?: Stuff | undefined;
}

type NumberName = Exclude<keyof MeasuredFigures, 'stuff'>;

const allowed: Readonly<Record<MeasurableKind, readonly NumberName[]>> = {
  strips: ['lumensPerM', 'wattsPerM'],
  faces: ['transmittance', 'reflectance', 'sigmaDeg', 'hazeShare'],
  coatings: ['transmittance', 'reflectance', 'sigmaDeg', 'hazeShare'],
  linings: ['reflectance'],
  tools: ['cutMm'],
  cutters: ['cutMm'],
};

const bounds: Readonly<Record<NumberName, readonly [number, number]>> = {
  transmittance: [0, 1],
  reflectance: [0, 0.995],
  sigmaDeg: [0.2, 60],
  hazeShare: [0, 1],
  lumensPerM: [1, 20_000],
  wattsPerM: [0.1, 100],
  cutMm: [0.01, 40],
};

/** Share of light that some of is lost in any sheet. */
const leastLoss = 0.005;

type Item<Kind extends MeasurableKind> = Catalogue[Kind][number];

const problemsOf = (kind: MeasurableKind, { stuff, ...figures }: MeasuredFigures): readonly Problem[] => {
  if (stuff !== undefined && kind !== 'tools')
    return [{ path: 'figures.stuff', message: `is asked of tools alone, not of ${kind}` }];
  const given = Object.entries(figures).filter(([, value]) => value !== undefined) as [NumberName, number][];
  if (given.length === 0) return [{ path: 'figures', message: 'holds nothing that was measured' }];
  return given.flatMap(([name, value]): readonly Problem[] => {
    if (!allowed[kind].includes(name))
      return [{ path: `figures.${name}`, message: `is not a figure of ${kind}; there is ${allowed[kind].join(', ')}` }];
    const [low, high] = bounds[name];
    return value >= low && value <= high
      ? []
      : [{ path: `figures.${name}`, message: `must be between ${low} and ${high}, and is ${value}` }];
  });
};

/**
 * An item of the catalogue with measured figures in place of typical ones. Where only the transmittance was measured, a
 * typical reflectance gives way so that no light is made; where both were and sum to more than one, it fails.
 */
export const withMeasured = <Kind extends MeasurableKind>(
  kind: Kind,
  item: Item<Kind>,
  figures: MeasuredFigures,
  measured: Measured,
): Result<Item<Kind>> => {
  const problems = problemsOf(kind, figures);
  if (problems.length > 0) return failure(...problems);
  const { sigmaDeg, hazeShare, stuff, ...plain } = figures;
  if (stuff !== undefined && plain.cutMm !== undefined) {
    // In one material of a tool; what it cuts elsewhere stays as it was known.
    const tool = item as Tool;
    const kerfs = { ...tool.kerfs, [stuff]: plain.cutMm };
    return success({ ...tool, kerfs, provenance: 'measured', measured });
  }
  const known = Object.fromEntries(Object.entries(plain).filter(([, value]) => value !== undefined));
  const changed = { ...item, ...known, provenance: 'measured', measured } as Item<Kind>;
  if (!('transmittance' in changed)) return success(changed);
  const { transmittance, reflectance, scatter } = changed;
  if (figures.reflectance !== undefined && transmittance + reflectance > 1)
    return failure({
      path: 'figures.reflectance',
      message: `passes ${transmittance} and reflects ${reflectance}: more than came in; measure both again`,
    });
  const lobe = scatter.kind === 'lobe' ? scatter : { kind: 'lobe' as const, sigmaDeg: 45, hazeShare: 1 };
  return success({
    ...changed,
    reflectance: Math.min(reflectance, Math.max(0, 1 - leastLoss - transmittance)),
    scatter:
      sigmaDeg === undefined && hazeShare === undefined
        ? scatter
        : { ...lobe, sigmaDeg: sigmaDeg ?? lobe.sigmaDeg, hazeShare: hazeShare ?? lobe.hazeShare },
  });
};
