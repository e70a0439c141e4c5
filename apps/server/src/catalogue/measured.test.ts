import { describe, expect, it } from '@jest/globals';
import type { ProblemReport } from '@vitrum/contract';
import { shippedCatalogue, type Catalogue } from '@vitrum/core';
import { and, eq } from 'drizzle-orm';
import { body, demoShopForTests } from '../testing/harness.js';
import { DatabaseService } from '../database/database.module.js';
import { catalogueItems } from '../database/schema.js';
import { CatalogueService } from './catalogue.service.js';

const shop = demoShopForTests();
const { api } = shop;
const reading = { on: '2030-02-03', how: 'lux meter', readings: 3, errorShare: 0.01 };
const opal = async () =>
  body<Catalogue>(await api().get('/api/catalogue').expect(200)).faces.find(({ id }) => id === 'opal-3')!;

describe('an item measured under an older version', () => {
  it('gains the fields that are new since from what ships', async () => {
    const { db } = shop.app.get(DatabaseService);
    const { maxC: _, scatter: __, ...old } = await opal();
    const row = and(eq(catalogueItems.kind, 'faces'), eq(catalogueItems.id, 'opal-3'));
    const data = { ...old, transmittance: 0.4, provenance: 'measured', measured: reading };
    await db.update(catalogueItems).set({ data }).where(row);
    const now = await opal();
    expect(now.maxC).toBe(shippedCatalogue.faces.find(({ id }) => id === 'opal-3')!.maxC);
    expect(now).toMatchObject({
      transmittance: 0.4,
      provenance: 'measured',
      scatter: { kind: 'lambertian' },
    });
    await api().delete('/api/catalogue/faces/opal-3/measured').expect(200);
  });
});

describe('measured figures', () => {
  it('take the place of typical ones for every design to come, and go again', async () => {
    await api()
      .put('/api/catalogue/faces/opal-3/measured')
      .send({ ...reading, figures: { transmittance: 0.41 } })
      .expect(200);
    expect(await opal()).toMatchObject({ transmittance: 0.41, provenance: 'measured', measured: reading });
    // Starting again brings typical items up to date, and leaves what was measured.
    await shop.app.get(CatalogueService).seed();
    expect((await opal()).transmittance).toBe(0.41);
    await api().delete('/api/catalogue/faces/opal-3/measured').expect(200);
    expect(await opal()).toMatchObject({ transmittance: 0.45, provenance: 'typical' });
  });

  it.each([
    ['faces/opal-3', { figures: { transmittance: 0.7, reflectance: 0.6 } }, 400, 'figures.reflectance'],
    ['faces/opal-3', { figures: { lumensPerM: 900 } }, 400, 'figures.lumensPerM'],
    ['faces/opal-3', { figures: { transmittance: 'much' } }, 400, 'figures.transmittance'],
    ['faces/opal-3', { figures: {}, readings: 0 }, 400, 'readings'],
    ['faces/moon', { figures: { transmittance: 0.5 } }, 404, undefined],
    ['boards/ply-12', { figures: { transmittance: 0.5 } }, 404, undefined],
  ])('%s with %j is refused with its place', async (item, change, status, path) => {
    const response = await api()
      .put(`/api/catalogue/${item}/measured`)
      .send({ ...reading, ...change })
      .expect(status);
    expect(body<ProblemReport>(response).problems[0]?.path).toBe(path);
    expect((await opal()).provenance).toBe('typical');
  });
});
