import { describe, expect, it } from '@jest/globals';
import type { JobListing, OfferView, ProblemReport, QuoteView, WallView } from '@vitrum/contract';
import { photoOfPng, pngOfPicture, usualTerms, type WallSetup } from '@vitrum/core';
import { body, demoShopForTests } from '../testing/harness.js';

const shop = demoShopForTests();
const { api } = shop;

const wallPng = (width: number, height: number): Buffer =>
  Buffer.from(pngOfPicture({ width, height, data: new Uint8ClampedArray(4 * width * height).fill(190) }));
const jobNamed = async (name: string): Promise<JobListing> =>
  body<readonly JobListing[]>(await api().get('/api/jobs')).find((job) => job.name.startsWith(name))!;
const sent = (id: string, photo: Buffer, type = 'image/png') =>
  api().put(`/api/walls/${id}/photo`).set('content-type', type).send(photo);
const setup: WallSetup = {
  corners: [
    [40, 30],
    [360, 40],
    [355, 270],
    [45, 260],
  ],
  widthMm: 2400,
  middleMm: [1200, 700],
  taken: 'day',
};

describe('the photograph of a wall', () => {
  it('is kept, placed on, shown with the sign as it is now, and put away', async () => {
    const { id } = await jobNamed('Tern');
    expect((await api().get(`/api/walls/${id}`).expect(200)).body).toEqual({ wall: null });
    await api().put(`/api/walls/${id}/setup`).send(setup).expect(404);
    await sent(id, wallPng(400, 300)).expect(204);
    expect(((await api().get(`/api/walls/${id}`)).body as { wall: WallView }).wall).toMatchObject({
      width: 400,
      height: 300,
      setup: null,
    });
    await api().get(`/api/walls/${id}/picture?by=night`).expect(404);
    expect(body<WallView>(await api().put(`/api/walls/${id}/setup`).send(setup).expect(200)).setup).toEqual(setup);
    const shown = async (by: string) =>
      photoOfPng((await api().get(`/api/walls/${id}/picture?by=${by}`).expect(200)).body as Buffer)!;
    const [day, night] = [await shown('day'), await shown('night')];
    expect([day.width, day.height]).toEqual([400, 300]);
    // Far from the sign it is the wall, darker by night.
    expect(night.data[5]!).toBeLessThan(day.data[5]!);
    // Another photograph has other corners.
    await sent(id, wallPng(400, 300)).expect(204);
    await api().get(`/api/walls/${id}/picture?by=night`).expect(404);
    await api().delete(`/api/walls/${id}`).expect(204);
    expect((await api().get(`/api/walls/${id}`)).body).toEqual({ wall: null });
    await api().get(`/api/walls/${id}/photo`).expect(404);
  });

  it('is refused where it is none, or too large, or where corners and sizes cannot be', async () => {
    const { id } = await jobNamed('Tern');
    await sent(id, Buffer.from('a wall')).expect(400);
    await sent(id, wallPng(1300, 300)).expect(400);
    await sent(id, wallPng(400, 20)).expect(400);
    await sent(id, Buffer.alloc(4_100_000)).expect(413);
    await sent('11111111-2222-4333-8444-555555555555', wallPng(400, 300)).expect(404);
    await sent(id, wallPng(400, 300)).expect(204);
    const refused = async (change: object): Promise<string> => {
      const answer = await api()
        .put(`/api/walls/${id}/setup`)
        .send({ ...setup, ...change })
        .expect(400);
      return body<ProblemReport>(answer)
        .problems.map(({ path, message }) => `${path} ${message}`)
        .join('; ');
    };
    const [a, b, c, d] = setup.corners;
    expect(await refused({ corners: [b, a, c, d] })).toContain('corners lay each corner onto its own');
    expect(await refused({ corners: [a, b, c] })).toContain('corners four places');
    expect(await refused({ corners: [a, b, c, ['x', 1]] })).toContain('corners four places');
    expect(await refused({ widthMm: 10 })).toContain('widthMm is from 50');
    expect(await refused({ taken: 'noon' })).toContain('taken day, or night');
    // Bytes that only begin like a picture are found out when it is shown.
    const broken = wallPng(400, 300).fill(0, 60);
    await sent(id, broken).expect(204);
    await api().put(`/api/walls/${id}/setup`).send(setup).expect(200);
    expect(body<ProblemReport>(await api().get(`/api/walls/${id}/picture?by=day`).expect(409)).message).toContain(
      'cannot be read',
    );
  });

  it('goes out with the quote, which keeps it as it was', async () => {
    const { id } = await jobNamed('Fitting mirror');
    await sent(id, wallPng(400, 300)).expect(204);
    await api()
      .put(`/api/walls/${id}/setup`)
      .send({ ...setup, taken: 'night' })
      .expect(200);
    const { facts, front } = (await api().get(`/api/quotes?job=${id}`)).body as {
      facts: Parameters<typeof usualTerms>[0];
      front: { width: number };
    };
    expect(front.width).toBeGreaterThan(300);
    const quote = body<QuoteView>(
      await api()
        .post('/api/quotes')
        .send({ jobId: id, ...usualTerms(facts) })
        .expect(201),
    );
    await api().delete(`/api/walls/${id}`).expect(204);
    const offer = body<OfferView>(await api().get(`/api/offers/${quote.token}`).expect(200));
    // Taken after dark, it says nothing of the day.
    expect(offer.onWall).toEqual(['night']);
    const picture = await api().get(`/api/offers/${quote.token}/picture?of=wall-night`).expect(200);
    expect(photoOfPng(picture.body as Buffer)).toMatchObject({ width: 400, height: 300 });
    await api().get(`/api/offers/${quote.token}/picture?of=wall-day`).expect(404);
  });
});
