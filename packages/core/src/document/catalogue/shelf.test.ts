import { describe, expect, it } from '@jest/globals';
import type * as z from 'zod';
import {
  catalogueKinds,
  isCurrent,
  itemDifferences,
  kindWords,
  newestOf,
  oldItemsOf,
  readItem,
  readShelfCsv,
  shelfCsv,
  shelfFor,
  shippedCatalogue,
  wordsOf,
  written,
  type Catalogue,
  type CatalogueKind,
  type ShelfItem,
} from './index.js';
import { catalogueSchemas } from './schema.js';

const ids = new Set(catalogueKinds.flatMap((kind) => shippedCatalogue[kind].map(({ id }) => id)));
const asWritten = (kind: CatalogueKind, item: ShelfItem) =>
  Object.fromEntries(wordsOf(kind).fields.map((field) => [field.path, written(field, item)]));
const each = catalogueKinds.flatMap((kind) =>
  (shippedCatalogue[kind] as readonly ShelfItem[]).map((item) => ({ kind, item })),
);

describe('figures of the shelf', () => {
  it('are told for every list, and for every figure that its schema wants', () => {
    expect([...kindWords.map(({ kind }) => kind)].sort()).toEqual([...catalogueKinds].sort());
    for (const kind of catalogueKinds) {
      const { shape } = catalogueSchemas[kind] as unknown as z.ZodObject<Record<string, z.ZodType>>;
      const told = wordsOf(kind).fields;
      const keys = Object.keys(shape).filter(
        (key) => !['id', 'provenance', 'measured', 'editedOn', 'retiredOn', 'newerId', 'lineId'].includes(key),
      );
      for (const key of keys) {
        const own = told.filter(({ path }) => path === key || path.startsWith(`${key}.`));
        expect([kind, key, own.length > 0]).toEqual([kind, key, true]);
        // What the schema may do without, the form may.
        if (shape[key]!.safeParse(undefined).success)
          expect([key, own.every((field) => field.optional)]).toEqual([key, true]);
      }
      for (const { label, what } of told) expect([label.length > 1, what.length > 5]).toEqual([true, true]);
      expect(new Set(told.map(({ label }) => label)).size).toBe(told.length);
    }
  });

  it('are read back as they were from what is written of them, of all that ships', () => {
    for (const { kind, item } of each) {
      const read = readItem(kind, asWritten(kind, item), { id: item.id, provenance: item.provenance });
      if (!read.ok) throw new Error(`${kind} ${item.id}: ${read.problems[0]!.message}`);
      // Ten digits are written.
      const tenDigits = (_: string, value: unknown): unknown =>
        typeof value === 'number' ? Number(value.toPrecision(10)) : value;
      expect(JSON.parse(JSON.stringify(read.value))).toEqual(JSON.parse(JSON.stringify(item, tenDigits)));
    }
  });

  it.each<[CatalogueKind, string, Record<string, string>, string]>([
    ['strips', 'white-12v-60', { wattsPerM: 'much' }, 'Draws is a number (W/m); “much” is none'],
    ['strips', 'white-12v-60', { cutPitchMm: '' }, 'Cut every is missing'],
    ['strips', 'white-12v-60', { cutPitchMm: '9000' }, 'Cut every is longer than the reel'],
    ['strips', 'white-12v-60', { lumensPerM: '90000' }, 'no LED gives that'],
    ['strips', 'white-12v-60', { protection: 'wet' }, 'Protection is one of bare, coated, sleeved; “wet” is not'],
    ['faces', 'opal-3', { transmittance: '70', reflectance: '60' }, 'no sheet gives more light than it gets'],
    ['faces', 'opal-3', { transmittance: '130' }, 'Light passed: '],
    ['faces', 'opal-3', { pricedOn: 'Monday' }, 'Price of is a day such as 2030-01-31'],
    ['tools', 'laser', { cuts: 'all' }, 'is written as “acrylic 8, wood 6”; “all” is not'],
    ['tools', 'laser', { kerfs: 'acrylic' }, 'Cut, by material is written as “acrylic 8, wood 6”; “acrylic” is not'],
    ['tools', 'laser', { kerfs: 'cheese 2' }, 'Cut, by material: '],
    ['tools', 'laser', { kerfs: 'acrylic 0' }, 'Cut, by material: '],
    ['tools', 'engrave-bit', { 'engraves.lineMm': '' }, 'Engraved line is missing'],
    ['films', 'black-vinyl', { transmittanceRgb: '0.2, red' }, '“0.2, red” are none'],
    ['paints', shippedCatalogue.paints[0]!.id, { onto: 'wood, cheese' }, '“cheese” is not'],
  ])('of %s %s with %j are refused by name', (kind, id, change, told) => {
    const item = shippedCatalogue[kind].find((one) => one.id === id)!;
    const read = readItem(kind, change, item);
    if (read.ok) throw new Error('it is taken');
    expect(read.problems.map(({ message }) => message).join('; ')).toContain(told);
    expect(read.problems[0]!.path).toBe(Object.keys(change)[0]);
  });

  it('take numbers as people write them, and leave what is not named as it is', () => {
    const opal = shippedCatalogue.faces.find(({ id }) => id === 'opal-3')!;
    const read = readItem(
      'faces',
      { thicknessMm: '2,85', price: '1 234.50', transmittance: '41.5 %', packOf: '' },
      opal,
    );
    if (!read.ok) throw new Error(read.problems[0]!.message);
    expect(read.value).toEqual({ ...opal, thicknessMm: 2.85, price: 1234.5, transmittance: 0.415 });
    const back = readItem(
      'faces',
      { 'scatter.kind': 'lobe', 'scatter.sigmaDeg': '12', 'scatter.hazeShare': '95' },
      opal,
    );
    if (!back.ok) throw new Error(back.problems[0]!.message);
    expect(back.value.scatter).toEqual({ kind: 'lobe', sigmaDeg: 12, hazeShare: 0.95 });
    expect(itemDifferences('faces', opal, read.value)).toEqual([
      expect.objectContaining({ label: 'Price', after: '1234.5' }),
      expect.objectContaining({ label: 'Thickness', before: '3', after: '2.85' }),
      expect.objectContaining({ label: 'Light passed', before: '45', after: '41.5' }),
    ]);
  });
});

describe('lists of the shelf as files', () => {
  it.each(catalogueKinds.map((kind) => [kind] as const))('%s come back as they went', (kind) => {
    const items = shippedCatalogue[kind];
    const back = readShelfCsv(kind, shelfCsv(kind, items), items, ids);
    expect(back).toEqual({ added: [], changed: [], same: items.length, unknownColumns: [], complaints: [] });
  });

  const strips = shippedCatalogue.strips;

  it('change what is known by id or name, add the rest, and tell what was not understood by its line', () => {
    const [first, second] = strips;
    const file = [
      'Name,Price (money),Draws,Colour of the reel',
      `${first!.name.includes(',') ? `"${first!.name}"` : first!.name},19.9,,blue`,
      `"${second!.name}",,5,`,
      `"${second!.name}",3,5,`,
      'Moon strip,12,4,silver',
    ].join('\r\n');
    const read = readShelfCsv('strips', `\ufeff${file}`, strips, ids);
    expect(read.unknownColumns).toEqual(['Colour of the reel']);
    expect(read.complaints.filter(({ line }) => line < 5).map(({ line, message }) => [line, message])).toEqual([
      [2, `${first!.name}: Draws is missing`],
      [3, `${second!.name}: Price is missing`],
    ]);
    // The line that is whole counts; what is new lacks most of its figures.
    expect(read.changed.map(({ item }) => [item.id, item.price, item.wattsPerM])).toEqual([[second!.id, 3, 5]]);
    expect(read.complaints.filter(({ line }) => line === 5).length).toBeGreaterThan(5);
    expect(read.added).toEqual([]);
    const twice = readShelfCsv('strips', `Id,Price\n${first!.id},3\n${first!.id},4\n`, strips, ids);
    expect(twice.changed.map(({ item }) => item.price)).toEqual([3]);
    expect(twice.complaints[0]).toMatchObject({ line: 3, message: expect.stringContaining('twice') });
    const priced = readShelfCsv('strips', `Id,Price\n${first!.id},21.5\n`, strips, ids);
    expect(priced.changed).toEqual([
      { item: { ...first, price: 21.5 }, differences: [expect.objectContaining({ label: 'Price', after: '21.5' })] },
    ]);
  });

  it('add an item under an id of its own, once', () => {
    const rows = shelfCsv('spacers', [{ ...shippedCatalogue.spacers[0]!, id: '', name: 'Oak block 8 mm' }]);
    const read = readShelfCsv('spacers', rows + rows.split('\n')[1] + '\n', shippedCatalogue.spacers, ids);
    expect(read.added.map(({ id, name }) => [id, name])).toEqual([['oak-block-8-mm', 'Oak block 8 mm']]);
    const taken = shelfCsv('spacers', [{ ...shippedCatalogue.spacers[0]!, id: 'opal-3', name: 'New' }]);
    expect(readShelfCsv('spacers', taken, shippedCatalogue.spacers, ids).complaints[0]!.message).toContain(
      'another thing',
    );
  });

  it('hold no formula for a table program, and none comes of it', () => {
    const evil = { ...shippedCatalogue.sundries[0]!, name: '=1+1', supplier: '@SUM(A1)' };
    const file = shelfCsv('sundries', [evil]);
    expect(file).toContain("'=1+1");
    expect(file).toContain("'@SUM(A1)");
    const back = readShelfCsv('sundries', file, [evil], ids);
    expect(back.same).toBe(1);
  });

  it.each([
    ['', 'has neither “Id” nor “Name”'],
    ['Price\n3', 'has neither “Id” nor “Name”'],
    ['x'.repeat(500_001), '500,000 characters'],
  ])('that are none are refused in a sentence', (file, told) => {
    expect(readShelfCsv('glues', file, shippedCatalogue.glues, ids).complaints[0]!.message).toContain(told);
  });

  it('of ten thousand lines are read in part, and told so', () => {
    const file = `Id,Price\n${Array.from({ length: 10_000 }, (_, at) => `glue-${at},1`).join('\n')}`;
    const { complaints } = readShelfCsv('glues', file, shippedCatalogue.glues, ids);
    expect(complaints[0]!.message).toContain('only the first 2000 lines');
  });
});

describe('what the shelf no longer offers', () => {
  const older: ShelfItem = { ...shippedCatalogue.faces[0]!, newerId: 'opal-3-b' };
  const newer: ShelfItem = { ...shippedCatalogue.faces[0]!, id: 'opal-3-b', lineId: older.id, price: 40 };
  const catalogue = {
    ...shippedCatalogue,
    faces: [older, ...shippedCatalogue.faces.slice(1), newer],
    glues: shippedCatalogue.glues.map((glue, at) => (at === 0 ? { ...glue, retiredOn: '2030-01-01' } : glue)),
  } as unknown as Catalogue;

  it('is there for designs that have it, and for no other', () => {
    const has = { assemblies: [{ face: { sheetId: older.id } }] };
    const hasNot = { assemblies: [{ face: { sheetId: 'opal-5' } }] };
    expect(oldItemsOf(has, catalogue)).toEqual([older.id]);
    expect(shelfFor(has, catalogue).faces.some(({ id }) => id === older.id)).toBe(true);
    expect(shelfFor(hasNot, catalogue).faces.some(({ id }) => id === older.id)).toBe(false);
    expect(shelfFor(hasNot, catalogue).glues.every(isCurrent)).toBe(true);
    // One shelf for all designs that have the same: what was worked out with it stays.
    expect(shelfFor({ ...hasNot }, catalogue)).toBe(shelfFor(hasNot, catalogue));
    expect(shelfFor(has, shippedCatalogue)).toBe(shippedCatalogue);
  });

  it('is followed by what stands in its place now', () => {
    expect(newestOf(catalogue, 'faces', older)).toBe(newer);
    expect(newestOf(catalogue, 'glues', catalogue.glues[0]!)).toBeNull();
    expect(newestOf({ ...catalogue, faces: [older] as never }, 'faces', older)).toBeNull();
  });
});
