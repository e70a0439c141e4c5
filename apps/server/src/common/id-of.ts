import { NotFoundException, ParseUUIDPipe } from '@nestjs/common';

/** The id of something in a path; what is no id is that of nothing. */
export const idOf = (what: string): ParseUUIDPipe =>
  new ParseUUIDPipe({ exceptionFactory: () => new NotFoundException(`There is no such ${what}.`) });
