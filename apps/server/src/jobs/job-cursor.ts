import { badRequest } from '../common/problems.js';
import type { JobCursor } from './jobs.service.js';

const form =
  /^(\d{4}-\d\d-\d\d \d\d:\d\d:\d\d(?:\.\d{1,6})?[+-]\d\d(?::\d\d)?) ([0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12})$/;

/** A cursor as the text of an address. */
export const writeCursor = ({ madeAt, id }: JobCursor): string => Buffer.from(`${madeAt} ${id}`).toString('base64url');

/** The same read back; throws a 400 for what is none. */
export const readCursor = (text: string): JobCursor => {
  const [, madeAt, id] = form.exec(Buffer.from(text, 'base64url').toString()) ?? [];
  if (madeAt === undefined || id === undefined)
    throw badRequest([{ path: 'after', message: 'is no place in the list; take it from the header Link' }]);
  return { madeAt, id };
};
