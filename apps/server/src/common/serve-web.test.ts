import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { brotliCompressSync, gunzipSync, gzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import request from 'supertest';
import { openShop, type TestShop } from '../testing/harness.js';

const script = `export const answer = '${'long enough to pack '.repeat(200)}';\n`;
let folder = '';
let shop: TestShop;
const get = (where: string, encoding = 'identity') =>
  request(shop.url).get(where).set('Accept-Encoding', encoding).redirects(0);

beforeAll(async () => {
  folder = mkdtempSync(path.join(os.tmpdir(), 'vitrum-web-'));
  mkdirSync(path.join(folder, 'assets'));
  const write = (name: string, bytes: string | Buffer): void => writeFileSync(path.join(folder, name), bytes);
  write('index.html', '<!doctype html><title>Vitrum</title>');
  write('assets/page-1a2b.js', script);
  write('assets/page-1a2b.js.gz', gzipSync(script));
  write('assets/page-1a2b.js.br', brotliCompressSync(script));
  shop = await openShop(false, folder);
});
afterAll(async () => {
  await shop.close();
  rmSync(folder, { recursive: true, force: true });
});

describe('the web app on the wire', () => {
  it('goes packed as the browser can read it, and may be kept for good', async () => {
    const packed = await get('/assets/page-1a2b.js', 'gzip, deflate, br').expect(200);
    expect(packed.headers['content-encoding']).toBe('br');
    expect(packed.headers['content-type']).toContain('javascript');
    expect(packed.headers['cache-control']).toContain('immutable');
    expect((await get('/assets/page-1a2b.js', 'gzip')).headers['content-encoding']).toBe('gzip');
    expect((await get('/assets/page-1a2b.js')).text).toBe(script);
  });

  it('answers every place of the page with the page, asked for anew each time', async () => {
    for (const where of ['/', '/jobs', '/jobs/abc/face']) {
      const page = await get(where).expect(200);
      expect(page.text).toContain('<title>Vitrum</title>');
      expect(page.headers['cache-control']).toBe('no-cache');
    }
  });

  it('says 404 for files and API paths that are not there, and lets nobody out of its folder', async () => {
    for (const where of [
      '/assets/gone.js',
      '/nope.png',
      '/api/nope',
      '/../package.json',
      '/assets/..%2f..%2fetc%2fpasswd',
    ])
      await get(where).expect(404);
  });
});

describe('answers of the API', () => {
  it('go packed when they are long', async () => {
    const response = await get('/api/catalogue', 'gzip')
      .buffer(true)
      .parse((stream, done) => {
        const chunks: Buffer[] = [];
        stream.on('data', (chunk: Buffer) => chunks.push(chunk));
        stream.on('end', () => done(null, Buffer.concat(chunks)));
      });
    expect(response.headers['content-encoding']).toBe('gzip');
    const bytes = response.body as Buffer;
    // The client under test has unpacked it where it could.
    const text = bytes[0] === 0x1f ? gunzipSync(bytes).toString() : bytes.toString();
    expect(JSON.parse(text)).toHaveProperty('strips');
  });
});
