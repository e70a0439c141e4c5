import { describe, expect, it } from '@jest/globals';
import { kindWords, readItem, shippedCatalogue, type ShelfItem } from '@vitrum/core';
import { byName, formOf, nameOf, typedIn, wrongIn } from './item-form';
import { sectionsOf } from './sections';

describe('the form of an item', () => {
  it.each(kindWords.map(({ kind }) => [kind] as const))(
    'of %s is right for what ships, and nothing is typed in it',
    (kind) => {
      for (const item of shippedCatalogue[kind] as readonly ShelfItem[]) {
        const form = formOf(kind, item);
        expect(typedIn(kind, form, form)).toEqual({});
        expect([item.id, wrongIn(kind, form, item)]).toEqual([item.id, {}]);
      }
    },
  );

  it('sends what was changed alone, under the paths of its figures', () => {
    const [face] = shippedCatalogue.faces;
    const before = formOf('faces', face!);
    const form = {
      ...before,
      price: '41',
      [nameOf('scatter.kind')]: 'lobe',
      [nameOf('scatter.sigmaDeg')]: '9',
      [nameOf('scatter.hazeShare')]: '80',
    };
    const typed = typedIn('faces', form, before);
    expect(typed).toEqual({ price: '41', 'scatter.kind': 'lobe', 'scatter.sigmaDeg': '9', 'scatter.hazeShare': '80' });
    const read = readItem('faces', typed, face);
    expect(read.ok && read.value.scatter).toEqual({ kind: 'lobe', sigmaDeg: 9, hazeShare: 0.8 });
  });

  it('of nothing lacks all that must be there, each told by its name', () => {
    const wrong = wrongIn('supplies', formOf('supplies', null), null);
    expect(wrong['name']).toBe('Name is missing');
    expect(wrong[nameOf('battery.ampHours')]).toBeUndefined();
    expect(Object.keys(wrong)).toEqual(expect.arrayContaining(['voltageV', 'watts', 'kg']));
  });

  it('tells what the server refuses at the field that it is about, the first of each', () => {
    expect(
      byName([
        { path: 'figures.scatter.sigmaDeg', message: 'first' },
        { path: 'figures.scatter.sigmaDeg', message: 'second' },
        { path: 'price', message: 'dear' },
      ]),
    ).toEqual({ [nameOf('scatter.sigmaDeg')]: 'first', price: 'dear' });
  });
});

describe('the lists of the shelf as they are shown', () => {
  it('have a row for every item, in their order, with as many figures as columns', () => {
    const sections = sectionsOf(shippedCatalogue);
    for (const { title, items, rows, columns } of sections) {
      expect([title, rows.length]).toEqual([title, items.length]);
      rows.forEach((row, at) => {
        expect(row).toHaveLength(columns.length);
        expect(row[0]).toBe(items[at]!.name);
      });
    }
    const shown = new Set(sections.flatMap(({ items }) => items.map(({ id }) => id)));
    for (const { kind } of kindWords)
      if (kind !== 'walls') for (const { id } of shippedCatalogue[kind]) expect(shown.has(id)).toBe(true);
  });

  it('offer to measure what a shop can measure: no knife, and nothing that a nozzle lays', () => {
    const tools = sectionsOf(shippedCatalogue).find(({ title }) => title === 'Cutting tools')!;
    const measurable = tools.items.filter((item) => tools.measurable!(item) !== null).map(({ id }) => id);
    expect(measurable).toContain('laser');
    expect(measurable).not.toContain('film-knife');
    expect(measurable).not.toContain('printer');
    const bits = sectionsOf(shippedCatalogue).find(({ kind }) => kind === 'cutters')!;
    expect(bits.items.filter((item) => bits.measurable!(item) === null).map(({ id }) => id)).toEqual(['v-bit']);
  });
});
