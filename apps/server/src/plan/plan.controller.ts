import { Body, ConflictException, Controller, Get, Headers, Put } from '@nestjs/common';
import { ApiBody, ApiConflictResponse, ApiHeader, ApiOperation, ApiTags } from '@nestjs/swagger';
import { FloorDto, PlanPaperDto, type PlanPaper, type PlanView, type Versioned } from '@vitrum/contract';
import { workPlaces, type Floor } from '@vitrum/core';
import { versionIn } from '../common/version-tag.js';
import type { PaperOutcome } from '../papers/papers.service.js';
import { PlanService } from './plan.service.js';

const text = { type: 'string' } as const;
const stepTimes = {
  type: 'array',
  items: { type: 'object', required: ['jobId', 'stepId', 'at'], properties: { jobId: text, stepId: text, at: text } },
};
const days = { type: 'array', items: { type: 'string', format: 'date' } } as const;
const hours = { type: 'array', items: { type: 'array', items: { type: 'integer' } } } as const;

const keptOr = <Paper>({ kind, now }: PaperOutcome<Paper>, what: string): Versioned<Paper> => {
  if (kind === 'conflict')
    throw new ConflictException({ message: `${what} elsewhere in the meantime; nothing of yours was kept.`, now });
  return now;
};

@ApiTags('plan')
@Controller('plan')
export class PlanController {
  constructor(private readonly plans: PlanService) {}

  @Get()
  @ApiOperation({ summary: 'Jobs at hand with their steps, the hours of the shop, and the plan that is kept' })
  view(): Promise<PlanView> {
    return this.plans.view();
  }

  @Put()
  @ApiOperation({ summary: 'Keep a plan: what is pinned, who goes first, when each step begins' })
  @ApiHeader({ name: 'If-Match', required: true, description: 'The version that was looked at; 0 where there is none' })
  @ApiBody({
    schema: {
      type: 'object',
      required: ['pins', 'starts', 'first'],
      properties: { pins: stepTimes, starts: stepTimes, first: { type: 'array', items: text } },
    },
  })
  @ApiConflictResponse({ description: 'Somebody kept another in between: it is returned.' })
  async keep(
    @Body() { pins, starts, first }: PlanPaperDto,
    @Headers('if-match') basedOn: string | undefined,
  ): Promise<Versioned<PlanPaper>> {
    const version = versionIn(basedOn, 'the plan');
    return keptOr(await this.plans.keepPlan({ pins, starts, first }, version), 'The plan was changed');
  }

  @Put('floor')
  @ApiOperation({ summary: 'Who works in the shop, when, and at how many places' })
  @ApiHeader({ name: 'If-Match', required: true, description: 'The version that was looked at; 0 where there is none' })
  @ApiBody({
    schema: {
      type: 'object',
      required: ['people', 'places', 'closed', 'extra'],
      properties: {
        people: {
          type: 'array',
          items: {
            type: 'object',
            properties: {
              id: text,
              name: text,
              hours: { type: 'array', items: hours },
              away: { type: 'array', items: days },
            },
          },
        },
        places: {
          type: 'object',
          properties: Object.fromEntries(workPlaces.map((each) => [each, { type: 'integer' }])),
        },
        closed: days,
        extra: {
          type: 'array',
          items: { type: 'object', properties: { on: text, hours: { type: 'array', items: { type: 'integer' } } } },
        },
      },
    },
  })
  @ApiConflictResponse({ description: 'Somebody changed it in between: it is returned as it is now.' })
  async keepFloor(
    @Body() { people, places, closed, extra }: FloorDto,
    @Headers('if-match') basedOn: string | undefined,
  ): Promise<Versioned<Floor>> {
    const version = versionIn(basedOn, 'the hours');
    return keptOr(
      await this.plans.keepFloor({ people, places, closed, extra }, version),
      'The hours of the shop were changed',
    );
  }
}
