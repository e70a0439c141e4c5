import { Body, Controller, Delete, Get, Headers, HttpCode, Ip, MessageEvent, Param, Post, Sse } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { SkipThrottle } from '@nestjs/throttler';
import type { SweepView } from '@vitrum/contract';
import { concatMap, defer, finalize, from, map, Observable, takeWhile, timer } from 'rxjs';
import { wireBody } from '../intake/wire-body.js';
import type { NewSweep } from '../intake/wire-requests.js';
import { Busy } from '../common/busy.js';
import { ExistingSweep } from './existing-sweep.js';
import { idOf } from '../common/id-of.js';
import { SweepsService } from './sweeps.service.js';

const lookEveryMs = 400;
/** Beyond any sweep; what a page says it has heard is not believed further. */
const mostPlaces = 1_000_000;
const clamp = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value));
/** Each looks into the database again and again. */
const mostStreams = 200;
const ended: readonly string[] = ['done', 'failed', 'cancelled'];

const sweepId = idOf('sweep');

@ApiTags('sweeps')
@Controller('sweeps')
export class SweepsController {
  private streams = 0;

  constructor(private readonly sweeps: SweepsService) {}

  @Post()
  @HttpCode(202)
  @ApiOperation({ summary: 'Try every combination of a plan on a design, in the background' })
  @ApiBody({
    schema: { type: 'object', required: ['design', 'plan'], properties: { design: {}, plan: { type: 'object' } } },
  })
  create(@Body(wireBody('sweep')) request: NewSweep, @Ip() person: string): Promise<SweepView> {
    return this.sweeps.create(request, person);
  }

  @Get(':id')
  @ApiOperation({ summary: 'Where a sweep stands' })
  get(@Param('id', sweepId) id: string): Promise<SweepView> {
    return this.sweeps.view(id);
  }

  @Delete(':id')
  @ApiOperation({ summary: 'Stop a sweep; what it found stays' })
  cancel(@Param('id', sweepId) id: string): Promise<SweepView> {
    return this.sweeps.cancel(id);
  }

  /** Each event’s id is the last point it carries, so that a page that lost the line goes on where it was. */
  @Sse(':id/events')
  @SkipThrottle()
  @ApiOperation({ summary: 'Progress and points as server-sent events' })
  events(
    @Param('id', ExistingSweep) id: string,
    @Headers('last-event-id') lastEventId: string | undefined,
  ): Observable<MessageEvent> {
    if (this.streams >= mostStreams) throw new Busy('Too many pages listen to sweeps just now; try again in a moment.');
    let last = clamp(Math.floor(Number(lastEventId) || 0), 0, mostPlaces);
    let finished = false;
    const events = timer(0, lookEveryMs).pipe(
      takeWhile(() => !finished),
      concatMap(() => from(this.sweeps.since(id, last))),
      map(({ sweep, points, last: place }) => {
        last = place;
        // The end is told only once every point has been.
        finished = ended.includes(sweep.status) && points.length === 0;
        return { id: String(place), data: { sweep, points } };
      }),
    );
    return defer(() => {
      this.streams += 1;
      return events;
    }).pipe(finalize(() => (this.streams -= 1)));
  }
}
