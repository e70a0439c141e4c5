import {
  Body,
  Controller,
  Delete,
  Get,
  Headers,
  HttpCode,
  HttpException,
  MessageEvent,
  Param,
  ParseUUIDPipe,
  Post,
  Sse,
} from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { SkipThrottle } from '@nestjs/throttler';
import { SweepRequestDto, type SweepView } from '@vitrum/contract';
import { concatMap, from, map, Observable, takeWhile, timer } from 'rxjs';
import { SweepsService } from './sweeps.service.js';

const lookEveryMs = 400;
/** Beyond any sweep; what a page says it has heard is not believed further. */
const mostPlaces = 1_000_000;
const clamp = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value));
const ended: readonly string[] = ['done', 'failed', 'cancelled'];

const sweepId = new ParseUUIDPipe({ exceptionFactory: () => new HttpException('There is no such sweep.', 404) });

@ApiTags('sweeps')
@Controller('sweeps')
export class SweepsController {
  constructor(private readonly sweeps: SweepsService) {}

  @Post()
  @HttpCode(202)
  @ApiOperation({ summary: 'Try every combination of a plan on a design, in the background' })
  @ApiBody({
    schema: { type: 'object', required: ['design', 'plan'], properties: { design: {}, plan: { type: 'object' } } },
  })
  create(@Body() { design, plan }: SweepRequestDto): Promise<SweepView> {
    return this.sweeps.create(design, plan);
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
    @Param('id', sweepId) id: string,
    @Headers('last-event-id') lastEventId: string | undefined,
  ): Observable<MessageEvent> {
    let last = clamp(Math.floor(Number(lastEventId) || 0), 0, mostPlaces);
    let finished = false;
    return timer(0, lookEveryMs).pipe(
      takeWhile(() => !finished),
      concatMap(() => from(this.sweeps.since(id, last))),
      map(({ sweep, points, last: place }) => {
        last = place;
        // The end is told only once every point has been.
        finished = ended.includes(sweep.status) && points.length === 0;
        return { id: String(place), data: { sweep, points } };
      }),
    );
  }
}
