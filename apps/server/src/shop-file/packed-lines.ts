import { createReadStream, createWriteStream } from 'node:fs';
import { open } from 'node:fs/promises';
import { Transform, type Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { StringDecoder } from 'node:string_decoder';
import { createGunzip } from 'node:zlib';
import { HttpException } from '@nestjs/common';

/** A line holds a design at most, or a quote with its four pictures (characters). */
const longestLine = 24_000_000;

const tooLarge = (message: string): HttpException => new HttpException(message, 413);

/** Passes on what it is given, up to so many bytes. */
const atMost = (bytes: number): Transform => {
  let seen = 0;
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      seen += chunk.length;
      if (seen > bytes) done(tooLarge('The file is larger than a shop can be.'));
      else done(null, chunk);
    },
  });
};

/** Puts what comes in into a file, up to so many bytes. */
export const keepUpload = (source: Readable, path: string, mostBytes: number): Promise<void> =>
  pipeline(source, atMost(mostBytes), createWriteStream(path));

async function* linesOf(source: AsyncIterable<Buffer>): AsyncGenerator<string> {
  const decoder = new StringDecoder('utf8');
  // A long line comes in many pieces; put together once, at its end.
  let pieces: string[] = [];
  let length = 0;
  for await (const chunk of source) {
    const [first = '', ...lines] = decoder.write(chunk).split('\n');
    pieces.push(first);
    length += first.length;
    if (length > longestLine) throw tooLarge('A line of the file is longer than any that it can have.');
    if (lines.length === 0) continue;
    yield pieces.join('');
    const last = lines.pop()!;
    yield* lines;
    pieces = [last];
    length = last.length;
  }
  const rest = pieces.join('') + decoder.end();
  if (rest !== '') yield rest;
}

const isPacked = async (path: string): Promise<boolean> => {
  const file = await open(path);
  try {
    const { bytesRead, buffer } = await file.read(Buffer.alloc(2), 0, 2, 0);
    return bytesRead === 2 && buffer[0] === 0x1f && buffer[1] === 0x8b;
  } finally {
    await file.close();
  }
};

/** Reads a file line by line, packed or plain, up to so many bytes once unpacked. */
export const readLines = async (
  path: string,
  mostBytes: number,
  take: (lines: AsyncIterable<string>) => Promise<void>,
): Promise<void> => {
  // Who takes lines and stops has a reason; the streams before tell only that nobody listens any more.
  let stopped: unknown = null;
  const taken = async (source: AsyncIterable<Buffer>): Promise<void> => {
    await take(linesOf(source)).catch((error: unknown) => {
      stopped = error;
      throw error;
    });
  };
  const bounded = atMost(mostBytes);
  try {
    if (await isPacked(path)) await pipeline(createReadStream(path), createGunzip(), bounded, taken);
    else await pipeline(createReadStream(path), bounded, taken);
  } catch (failed) {
    const error = stopped ?? failed;
    if (String((error as { code?: unknown }).code).startsWith('Z_'))
      throw new HttpException('The file is broken: it cannot be unpacked.', 400);
    throw error;
  }
};
