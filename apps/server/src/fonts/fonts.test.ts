import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { describe, expect, it } from '@jest/globals';
import type { UnpackedFont } from '@vitrum/contract';
import { openFontFile } from '@vitrum/core';
import { body, demoShopForTests } from '../testing/harness.js';

const { api } = demoShopForTests();
const fonts = createRequire(import.meta.resolve('@vitrum/core'));
const send = (bytes: Buffer, type = 'font/woff2') =>
  api().post('/api/fonts/unpack').set('content-type', type).send(bytes);

describe('fonts that a page cannot unpack', () => {
  it('come back as a design keeps them', async () => {
    const packed = await readFile(
      fonts.resolve('@fontsource-variable/overpass/files/overpass-latin-wght-normal.woff2'),
    );
    const { base64 } = body<UnpackedFont>(await send(packed).expect(200));
    const font = await openFontFile('own', new Uint8Array(Buffer.from(base64, 'base64')));
    expect(font.ok).toBe(true);
    expect(Buffer.from(base64, 'base64').length).toBeGreaterThan(packed.length);
  });

  it('are refused where they are none, cut off or too large', async () => {
    const packed = await readFile(
      fonts.resolve('@fontsource-variable/overpass/files/overpass-latin-wght-normal.woff2'),
    );
    for (const bytes of [Buffer.from('wOF2, it says'), packed.subarray(0, 3000), Buffer.alloc(0)])
      expect((await send(bytes)).status).toBe(400);
    // What it says of its length is no reason to take so much memory.
    const boastful = Buffer.from(packed);
    boastful.writeUInt32BE(0xfffffff0, 16);
    expect([200, 400]).toContain((await send(boastful)).status);
    expect((await send(Buffer.alloc(2_100_000))).status).toBe(413);
    expect((await send(packed, 'text/plain')).status).toBe(400);
    await api().get('/api/health').expect(200);
  });
});
