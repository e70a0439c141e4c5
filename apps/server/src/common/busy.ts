import { HttpException } from '@nestjs/common';

/** More is asked at once than can be done soon: the same request is welcome a moment later. */
export class Busy extends HttpException {
  constructor(message = 'Too much is asked at once; try again in a moment.') {
    super({ message }, 503);
  }
}
