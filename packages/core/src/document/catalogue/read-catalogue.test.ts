import { describe, expect, it } from '@jest/globals';
import { catalogueKinds, readCatalogue, shippedCatalogue, type StoredItem } from './index.js';

/** All that ships, as a store has it. */
const stored = (change: (kind: string, data: Record<string, unknown>) => unknown = (_, data) => data): StoredItem[] => [
  ...catalogueKinds.flatMap((kind) =>
    shippedCatalogue[kind].map((item) => ({ kind, id: item.id, data: change(kind, { ...item }) })),
  ),
  { kind: 'rates', id: 'rates', data: change('rates', { ...shippedCatalogue.rates }) },
];

const numbersOf = (value: unknown): readonly number[] =>
  typeof value === 'number'
    ? [value]
    : typeof value === 'object' && value !== null
      ? Object.values(value).flatMap(numbersOf)
      : [];

/** Every field of every list, as if it were new. */
const newerFields = catalogueKinds.flatMap((kind) =>
  Object.keys(shippedCatalogue[kind][0]!)
    .filter((field) => !['provenance', 'measured', 'price'].includes(field))
    .map((field) => [kind, field] as const),
);

describe('a shop’s catalogue', () => {
  it('is what ships as long as nothing was measured', () =>
    expect(readCatalogue(stored())).toEqual({ catalogue: shippedCatalogue, problems: [] }));

  it.each(newerFields)('%s measured before there was a “%s” gain it from what ships', (kind, field) => {
    const measured = { on: '2026-01-02', how: 'lux meter', readings: 3, errorShare: 0.01 };
    const old = stored((of, data) => {
      const { [field]: _, ...rest } = data;
      return of === kind ? { ...rest, provenance: 'measured', measured, price: 12.5 } : data;
    });
    const { catalogue, problems } = readCatalogue(old);
    expect(problems).toEqual([]);
    expect(catalogue[kind]).toHaveLength(shippedCatalogue[kind].length);
    catalogue[kind].forEach((item, index) =>
      expect(item).toEqual({
        ...shippedCatalogue[kind][index]!,
        provenance: 'measured',
        measured,
        price: 12.5,
      }),
    );
    expect(numbersOf(catalogue).every(Number.isFinite)).toBe(true);
  });

  it('keeps what was measured, and fields of the shop’s own', () => {
    const own = stored((kind, data) =>
      kind === 'linings' ? { ...data, reflectance: 0.71, provenance: 'measured', shelf: 'left' } : data,
    );
    expect(readCatalogue(own).catalogue.linings[0]).toMatchObject({ reflectance: 0.71, shelf: 'left' });
  });

  it('takes what ships for what cannot be read, and tells its place', () => {
    const broken = stored((kind, data) =>
      kind === 'faces' ? { ...data, transmittance: 'much' } : kind === 'rates' ? { kerfMm: -1 } : data,
    );
    const { catalogue, problems } = readCatalogue([...broken, { kind: 'wires', id: 'own', data: null }]);
    expect(catalogue).toEqual(shippedCatalogue);
    const places = problems.map(({ path }) => path);
    expect(places).toContain('faces.opal-3.transmittance');
    expect(places).toContain('rates.kerfMm');
    expect(places.some((path) => path.startsWith('wires.own.'))).toBe(true);
  });
});
