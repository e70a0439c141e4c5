import { HttpException } from '@nestjs/common';

const preconditionRequired = 428;

/** The version that a change was made from, as If-Match tells it: 3, "3" or W/"3". Refuses a request without one. */
export const versionIn = (header: string | undefined, what: string): number => {
  const version = /^(?:W\/)?"?(\d{1,9})"?$/.exec(header?.trim() ?? '')?.[1];
  if (version === undefined)
    throw new HttpException(`Say in If-Match which version of ${what} was changed.`, preconditionRequired);
  return Number(version);
};
