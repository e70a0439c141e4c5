import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { strFromU8, unzipSync } from 'fflate';

/** The files of the bench pack of the open job, by their names; nothing where there is none of that name. */
export const packOf = async (page: Page): Promise<(name: string) => Uint8Array> => {
  // Light in full and every drawing: how long that takes on a busy machine is for the bench to say.
  const download = page.waitForEvent('download', { timeout: 240_000 });
  await page.getByRole('button', { name: 'Bench pack' }).click();
  const zip = unzipSync(new Uint8Array(await readFile(await (await download).path())));
  const [folder] = Object.keys(zip)[0]!.split('/');
  return (name) => zip[`${folder}/${name}`] ?? new Uint8Array();
};

/** The rows of a list in the pack, without its head. */
export const rowsOf = (csv: Uint8Array): readonly string[] =>
  strFromU8(csv)
    .replace(/^\uFEFF/, '')
    .trim()
    .split('\r\n')
    .slice(1);
