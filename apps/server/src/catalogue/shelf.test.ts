import { describe, expect, it } from '@jest/globals';
import type { ImportReport, ItemChanged, JobView, ProblemReport, ShelfItemView } from '@vitrum/contract';
import {
  demoDesigns,
  shelfCsv,
  shippedCatalogue,
  wordsOf,
  written,
  type Catalogue,
  type ShelfItem,
} from '@vitrum/core';
import { sql } from 'drizzle-orm';
import { DatabaseService } from '../database/database.module.js';
import { body, demoShopForTests } from '../testing/harness.js';
import { CatalogueService } from './catalogue.service.js';
import { noteItems } from './items-named.js';

const shop = demoShopForTests();
const { api } = shop;
const strip = shippedCatalogue.strips.find(({ id }) => id === 'white-12v-60')!;
const catalogue = async () => body<Catalogue>(await api().get('/api/catalogue').expect(200));
const view = async (path: string) => body<ShelfItemView>(await api().get(`/api/catalogue/${path}`).expect(200));
const figuresOf = (kind: 'strips' | 'glues' | 'spacers', item: ShelfItem) =>
  Object.fromEntries(wordsOf(kind).fields.map((field) => [field.path, written(field, item)]));
const change = async (path: string, figures: object, version?: number) =>
  api()
    .put(`/api/catalogue/${path}`)
    .set('If-Match', `"${version ?? (await view(path)).version}"`)
    .send({ figures });
/** A job whose light is of one strip. */
const jobWith = async (stripId: string): Promise<JobView> => {
  const plain = demoDesigns.dispensary;
  const design = {
    ...plain,
    name: `with ${stripId}`,
    assemblies: plain.assemblies.map((own) => ({ ...own, light: { ...own.light, stripId } })),
  };
  return body<JobView>(await api().post('/api/jobs').send({ name: design.name, design }).expect(201));
};

describe('an item of the shop’s own', () => {
  it('is added with its figures, under an id from its name, and is there for designs', async () => {
    const figures = {
      ...figuresOf('strips', strip),
      name: 'Sallow warm 12 V',
      lumensPerM: '777',
      supplier: 'Quay Lights',
    };
    const added = body<ShelfItem>(await api().post('/api/catalogue/strips/items').send({ figures }).expect(201));
    expect(added).toMatchObject({
      id: 'sallow-warm-12-v',
      lumensPerM: 777,
      supplier: 'Quay Lights',
      provenance: 'typical',
    });
    expect((await catalogue()).strips.at(-1)).toMatchObject({ id: 'sallow-warm-12-v', lumensPerM: 777 });
    // Starting again brings what ships up to date, and leaves what the shop has made.
    await shop.app.get(CatalogueService).seed();
    expect((await catalogue()).strips.some(({ id }) => id === 'sallow-warm-12-v')).toBe(true);
    expect(await view('strips/items/sallow-warm-12-v')).toMatchObject({ version: 1, jobs: 0 });
  });

  it('is copied from another, whose figures it takes where none are typed', async () => {
    const copy = body<ShelfItem>(
      await api()
        .post('/api/catalogue/strips/items')
        .send({ figures: { name: 'Copy of it', price: '3' }, copyOf: strip.id })
        .expect(201),
    );
    expect(copy).toMatchObject({ ...strip, id: 'copy-of-it', name: 'Copy of it', price: 3 });
  });

  it.each<[string, object, string]>([
    ['strips/items', { figures: { name: 'Half a strip' } }, 'Protection'],
    ['strips/items', { figures: { ...{}, name: ['x'] } }, 'say each figure as text'],
    ['strips/items', { figures: 'all of them' }, 'say each figure as text'],
    [
      'strips/items',
      { figures: Object.fromEntries(Array.from({ length: 90 }, (_, at) => [`f${at}`, ''])) },
      'say each figure',
    ],
    ['strips/items', { figures: { name: 'x' }, copyOf: 'moon' }, 'There is no “moon” among the strips.'],
    ['moons/items', { figures: { name: 'x' } }, 'The shelf has no list “moons”'],
    ['strips/import', { text: 'Id\nx', apply: 'yes' }, 'say whether it is to be taken'],
  ])('%s with %j is refused in a sentence', async (path, request, told) => {
    const response = await api().post(`/api/catalogue/${path}`).send(request);
    expect(response.status).toBeGreaterThanOrEqual(400);
    expect(response.status).toBeLessThan(500);
    const { message, problems } = body<ProblemReport>(response);
    expect([message, ...problems.map((each) => each.message)].join('; ')).toContain(told);
  });
});

describe('a change of an item', () => {
  it('is made in place while no design has it', async () => {
    const figures = { ...figuresOf('spacers', shippedCatalogue.spacers[0]!), name: 'Quay block', price: '0.4' };
    await api().post('/api/catalogue/spacers/items').send({ figures }).expect(201);
    const changed = body<ItemChanged>(await change('spacers/items/quay-block', { price: '0.5' }));
    expect(changed).toMatchObject({ item: { id: 'quay-block', price: 0.5 }, kept: null });
  });

  it('leaves the item to the designs that have it, and puts another in its place', async () => {
    const own = figuresOf('strips', strip);
    await api()
      .post('/api/catalogue/strips/items')
      .send({ figures: { ...own, name: 'Harbour strip' } })
      .expect(201);
    await jobWith('harbour-strip');
    expect((await view('strips/items/harbour-strip')).jobs).toBe(1);
    const first = body<ItemChanged>(await change('strips/items/harbour-strip', { price: '31', wattsPerM: '5' }));
    expect(first.item).toMatchObject({ id: 'harbour-strip--2', lineId: 'harbour-strip', price: 31, wattsPerM: 5 });
    expect(first.kept).toMatchObject({ id: 'harbour-strip', price: strip.price, newerId: 'harbour-strip--2' });
    // What took its place is not in a design yet: it changes in place; what is kept is left alone.
    const second = body<ItemChanged>(await change('strips/items/harbour-strip--2', { price: '33' }));
    expect(second).toMatchObject({ item: { id: 'harbour-strip--2', price: 33 }, kept: null });
    const refused = await change('strips/items/harbour-strip', { price: '1' });
    expect(refused.status).toBe(409);
    expect(body<ProblemReport>(refused).message).toContain('is kept for the designs that have it');
    const { strips } = await catalogue();
    const places = strips.map(({ id }) => id);
    expect(places.indexOf('harbour-strip--2')).toBeGreaterThan(-1);
    // Starting again changes nothing of it.
    await shop.app.get(CatalogueService).seed();
    expect((await catalogue()).strips.find(({ id }) => id === 'harbour-strip')).toMatchObject({
      newerId: 'harbour-strip--2',
    });
  });

  it('of what ships stays changed when the program starts again, and figures that were taken away stay away', async () => {
    const [glue] = shippedCatalogue.glues;
    await api()
      .post('/api/catalogue/glues/items')
      .send({ figures: { name: 'Quay glue', supplier: 'Quay' }, copyOf: glue!.id });
    await change('glues/items/quay-glue', { supplier: '' });
    await shop.app.get(CatalogueService).seed();
    const found = (await catalogue()).glues.find(({ id }) => id === 'quay-glue')!;
    expect(found.supplier).toBeUndefined();
  });

  it('is refused when somebody else has changed the item, with the item as it is now', async () => {
    const { version } = await view('glues/items/quay-glue');
    await change('glues/items/quay-glue', { price: '4' });
    const late = await change('glues/items/quay-glue', { price: '5' }, version);
    expect(late.status).toBe(409);
    expect(late.body).toMatchObject({ item: { price: 4 }, version: version + 1 });
    await api().put('/api/catalogue/glues/items/quay-glue').send({ figures: {} }).expect(428);
    const wrong = await change('glues/items/quay-glue', { price: 'much', openMin: 'x' });
    expect(wrong.status).toBe(400);
    expect(body<ProblemReport>(wrong).problems.map(({ path }) => path)).toEqual(['figures.price', 'figures.openMin']);
    expect((await view('glues/items/quay-glue')).item.price).toBe(4);
  });

  it('by four people at once is taken once, and none is lost without a word', async () => {
    const { version } = await view('glues/items/quay-glue');
    const answers = await Promise.all(
      [6, 7, 8, 9].map((price) => change('glues/items/quay-glue', { price: `${price}` }, version)),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409, 409]);
    const won = answers.find(({ status }) => status === 200)!;
    expect((await view('glues/items/quay-glue')).item.price).toBe(body<ItemChanged>(won).item.price);
  });
});

describe('an item that is retired', () => {
  it('stays for designs that have it, and is offered again when it is wanted', async () => {
    await api().post('/api/catalogue/glues/items/quay-glue/retire').expect(200);
    const glue = async () => (await catalogue()).glues.find(({ id }) => id === 'quay-glue')!;
    expect((await glue()).retiredOn).toMatch(/^\d{4}-\d\d-\d\d$/);
    await api().post('/api/catalogue/glues/items/quay-glue/offer').expect(200);
    expect((await glue()).retiredOn).toBeUndefined();
    await api().post('/api/catalogue/glues/items/moon/retire').expect(404);
  });
});

describe('a list as a file', () => {
  it('is looked at first, and taken whole: new, changed, kept for designs, and what was not understood', async () => {
    const { spacers } = await catalogue();
    const [used, other] = spacers;
    const file = [
      shelfCsv('spacers', [{ ...used!, price: used!.price + 1 }]).trimEnd(),
      shelfCsv('spacers', [{ ...other!, id: '', name: 'Driftwood 7 mm' }]).split('\n')[1],
      'lost,Nameless,free',
    ].join('\n');
    const send = async (apply: boolean) =>
      body<ImportReport>(await api().post('/api/catalogue/spacers/import').send({ text: file, apply }).expect(200));
    const looked = await send(false);
    expect(looked).toMatchObject({
      added: [{ id: 'driftwood-7-mm', name: 'Driftwood 7 mm' }],
      changed: [{ id: used!.id, differences: [{ label: 'Price' }] }],
      applied: false,
    });
    expect(looked.complaints[0]!.line).toBe(4);
    expect((await catalogue()).spacers).toEqual(spacers);
    await send(true);
    const after = (await catalogue()).spacers;
    expect(after.some(({ id }) => id === 'driftwood-7-mm')).toBe(true);
    const now = after.filter(({ id, lineId }) => id === used!.id || lineId === used!.id);
    expect(now.at(-1)!.price).toBeCloseTo(used!.price + 1, 9);
    const again = await send(true);
    expect(again).toMatchObject({ added: [], changed: [], same: 2 });
  });

  it('of half a million letters is read, and one of more is refused', async () => {
    const line = `Driftwood,${'9'.repeat(80)}\n`;
    const text = `Name,Price\n${line.repeat(3000)}`;
    const report = body<ImportReport>(
      await api().post('/api/catalogue/spacers/import').send({ text, apply: false }).expect(200),
    );
    expect(report.complaints.length).toBeGreaterThan(1);
    await api()
      .post('/api/catalogue/spacers/import')
      .send({ text: text.repeat(3), apply: false })
      .expect(400);
  });
});

describe('revisions of an earlier version', () => {
  it('are looked through for the items that they name', async () => {
    const { db } = shop.app.get(DatabaseService);
    const before = await view('strips/items/harbour-strip');
    await db.execute(sql`update revisions set items = null`);
    expect((await view('strips/items/harbour-strip')).jobs).toBe(0);
    await noteItems(db);
    expect((await view('strips/items/harbour-strip')).jobs).toBe(before.jobs);
    expect((await view('strips/items/white-12v-60')).jobs).toBeGreaterThan(0);
  });
});
