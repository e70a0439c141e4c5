import { HttpException, Injectable, type PipeTransform } from '@nestjs/common';
import { isUUID } from 'class-validator';
import { SweepsService } from './sweeps.service.js';

/** The id of a sweep that is there: a stream of events that has begun can no longer say that it is not. */
@Injectable()
export class ExistingSweep implements PipeTransform<string, Promise<string>> {
  constructor(private readonly sweeps: SweepsService) {}

  async transform(id: string): Promise<string> {
    if (!isUUID(id)) throw new HttpException('There is no such sweep.', 404);
    await this.sweeps.view(id);
    return id;
  }
}
