import { Body, Controller, Get, HttpCode, NotFoundException, Param, Post, Put } from '@nestjs/common';
import { ApiBody, ApiConflictResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { AcceptStripDto, AcceptTimeDto, LessonDto, type RecordsView } from '@vitrum/contract';
import { lessonSubjects, stripFigures, workPhases, type Lesson, type WorkPhase } from '@vitrum/core';
import { LessonsService } from './lessons.service.js';
import { idOf } from '../common/id-of.js';
import { RecordsService } from './records.service.js';

const text = { type: 'string' } as const;
const number = { type: 'number' } as const;

const phaseOf = (phase: string): WorkPhase => {
  const found = workPhases.find((each) => each === phase);
  if (found === undefined)
    throw new NotFoundException(`Work has no phase of that name; there is ${workPhases.join(', ')}.`);
  return found;
};

@ApiTags('records')
@Controller('records')
export class RecordsController {
  constructor(private readonly records: RecordsService) {}

  @Get()
  @ApiOperation({ summary: 'What jobs have taught: times and strip, computed beside measured, and lessons' })
  view(): Promise<RecordsView> {
    return this.records.view();
  }

  @Put('times/:phase')
  @ApiOperation({ summary: 'Reckon with the shop’s own times of a phase, or with typical ones again' })
  @ApiBody({ schema: { type: 'object', properties: { factor: { ...number, nullable: true } } } })
  @ApiConflictResponse({ description: 'The records say something else by now.' })
  acceptTime(@Param('phase') phase: string, @Body() { factor }: AcceptTimeDto): Promise<RecordsView> {
    return this.records.acceptTime(phaseOf(phase), factor);
  }

  @Put('strips/:id')
  @ApiOperation({ summary: 'Give a strip what its readings tell: what it takes, or what it gives' })
  @ApiBody({
    schema: { type: 'object', properties: { figure: { type: 'string', enum: [...stripFigures] }, value: number } },
  })
  @ApiConflictResponse({ description: 'The records say something else by now.' })
  acceptStrip(@Param('id') id: string, @Body() { figure, value }: AcceptStripDto): Promise<RecordsView> {
    return this.records.acceptStrip(id, figure, value);
  }
}

@ApiTags('lessons')
@Controller('lessons')
export class LessonsController {
  constructor(private readonly lessons: LessonsService) {}

  @Get()
  @ApiOperation({ summary: 'What the shop learned, the newest first' })
  list(): Promise<readonly Lesson[]> {
    return this.lessons.list();
  }

  @Post()
  @HttpCode(200)
  @ApiOperation({ summary: 'Keep a lesson; it comes up again where it applies' })
  @ApiBody({
    schema: {
      type: 'object',
      properties: {
        id: text,
        about: { type: 'string', enum: [...lessonSubjects] },
        key: text,
        words: text,
        by: text,
        jobId: { ...text, nullable: true },
      },
    },
  })
  keep(@Body() { id, about, key, words, by, jobId }: LessonDto): Promise<Lesson> {
    return this.lessons.keep({ id, about, key, words, by, jobId });
  }

  @Post(':id/retire')
  @HttpCode(204)
  @ApiOperation({ summary: 'Put a lesson away that no longer holds' })
  retire(
    @Param('id', idOf('lesson'))
    id: string,
  ): Promise<void> {
    return this.lessons.retire(id);
  }
}
