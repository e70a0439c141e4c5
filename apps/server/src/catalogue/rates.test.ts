import { describe, expect, it } from '@jest/globals';
import type { ProblemReport, RatesView } from '@vitrum/contract';
import { shippedCatalogue, type Catalogue, type Rates } from '@vitrum/core';
import { body, demoShopForTests } from '../testing/harness.js';
import { CatalogueService } from './catalogue.service.js';

const shop = demoShopForTests();
const { api } = shop;
const view = async () => body<RatesView>(await api().get('/api/catalogue/rates').expect(200));
const figures = (changes: object): object => {
  const { learnedTimes: _, ...rates }: Rates = shippedCatalogue.rates;
  return { machineColours: {}, ...rates, ...changes };
};
const put = (changes: object, version: number) =>
  api().put('/api/catalogue/rates').set('If-Match', `"${version}"`).send(figures(changes));

describe('what the shop reckons with', () => {
  it('is changed, is the shelf’s then, and stays when the server starts again', async () => {
    const { version } = await view();
    const changed = body<RatesView>(
      await put({ labourPerHour: 52, currency: 'kr', machineColours: { cut: '#0000ff' } }, version).expect(200),
    );
    expect(changed).toMatchObject({ version: version + 1, rates: { labourPerHour: 52, currency: 'kr' } });
    await shop.app.get(CatalogueService).seed();
    const { rates } = body<Catalogue>(await api().get('/api/catalogue').expect(200));
    expect(rates).toMatchObject({ labourPerHour: 52, currency: 'kr', machineColours: { cut: '#0000ff' } });
    // Back to the usual colours: none is kept.
    await put({}, version + 1).expect(200);
    expect((await view()).rates).toMatchObject({ labourPerHour: 38, machineColours: {} });
  });

  it('is not changed from an older look, and says how it is now', async () => {
    const { version } = await view();
    await put({ kerfMm: 2.8 }, version).expect(200);
    const refused = await put({ kerfMm: 9 }, version).expect(409);
    expect(refused.body).toMatchObject({ version: version + 1, rates: { kerfMm: 2.8 } });
    await api().put('/api/catalogue/rates').send(figures({})).expect(428);
  });

  it.each<[string, object]>([
    ['labourPerHour', { labourPerHour: -1 }],
    ['labourPerHour', { labourPerHour: 'much' }],
    ['wasteShare', { wasteShare: 2 }],
    ['kerfMm', { kerfMm: 400 }],
    ['currency', { currency: '' }],
    ['machineColours', { machineColours: { cut: 'red' } }],
    ['machineColours', { machineColours: { fold: '#ff0000' } }],
    ['machineColours', { machineColours: 7 }],
  ])('refuses %s as %j, and says where', async (path, changes) => {
    const { version } = await view();
    const report = body<ProblemReport>(await put(changes, version).expect(400));
    expect(report.problems.map((problem) => problem.path)).toContain(path);
    expect((await view()).version).toBe(version);
  });
});
