import {
  Body,
  ConflictException,
  Controller,
  Get,
  Headers,
  HttpException,
  Param,
  Patch,
  Post,
  Put,
  Query,
  Res,
  StreamableFile,
  type PipeTransform,
} from '@nestjs/common';
import { ApiBody, ApiConflictResponse, ApiHeader, ApiOperation, ApiQuery, ApiTags } from '@nestjs/swagger';
import {
  CopyJobDto,
  UpdateJobDto,
  type JobListing,
  type JobView,
  type RevisionView,
  type RevisionWithDesign,
} from '@vitrum/contract';
import { designJsonSchema, jobStatuses } from '@vitrum/core';
import type { Response } from 'express';
import { wireBody } from '../intake/wire-body.js';
import type { NewJob, Save } from '../intake/wire-requests.js';
import { readCursor, writeCursor } from './job-cursor.js';
import { idOf } from '../common/id-of.js';
import { JobsService } from './jobs.service.js';

const preconditionRequired = 428;

const text = { type: 'string' } as const;
const design = { ...designJsonSchema(), $schema: undefined } as object;
const jobFields = { name: text, customer: text, dueOn: { ...text, format: 'date', nullable: true } };

const jobId = idOf('job in the book');

/** A page weighs some 50 kB. */
const jobsAPage = 50;

const mostRevisions = 2 ** 31 - 1;

/** A number that no revision can have is that of none. */
const revisionNumber: PipeTransform<string | undefined, number> = {
  transform: (text: string | undefined) => {
    const number = /^\d{1,10}$/.test(text ?? '') ? Number(text) : 0;
    if (number < 1 || number > mostRevisions) throw new HttpException('There is no such revision of this job.', 404);
    return number;
  },
};

/** `"abc"` or `W/"abc"` or `abc` → `abc`. */
const bareTag = (header: string): string => header.trim().replace(/^W\//, '').replace(/^"|"$/g, '');

@ApiTags('jobs')
@Controller('jobs')
export class JobsController {
  constructor(private readonly jobs: JobsService) {}

  @Get()
  @ApiOperation({
    summary: 'Jobs with the summary of their latest design, a page at a time; the header Link tells where the next is',
  })
  @ApiQuery({ name: 'after', required: false, description: 'Where the page goes on, as Link gives it' })
  async list(
    @Query('after') after: string | undefined,
    @Res({ passthrough: true }) response: Response,
  ): Promise<readonly JobListing[]> {
    const { jobs, next } = await this.jobs.list(after === undefined ? null : readCursor(after), jobsAPage);
    if (next !== null) response.setHeader('Link', `</api/jobs?after=${writeCursor(next)}>; rel="next"`);
    return jobs;
  }

  @Get(':id/picture')
  @ApiOperation({ summary: 'The picture of a revision at dusk, as lists show it (PNG)' })
  @ApiQuery({ name: 'of', description: 'Which revision, as the summary’s address of its picture says' })
  async picture(
    @Param('id', jobId) id: string,
    @Query('of', revisionNumber) of: number,
    @Res({ passthrough: true }) response: Response,
  ): Promise<StreamableFile> {
    const picture = await this.jobs.picture(id, of);
    if (picture === null) throw new HttpException('There is no picture of that revision.', 404);
    // What was summed up once is not summed up otherwise later.
    response.setHeader('Cache-Control', 'private, max-age=31536000, immutable');
    return new StreamableFile(picture, { type: 'image/png' });
  }

  @Post()
  @ApiOperation({ summary: 'A new job with its first design' })
  @ApiBody({ schema: { type: 'object', required: ['name', 'design'], properties: { ...jobFields, design } } })
  create(@Body(wireBody('create')) request: NewJob): Promise<JobView> {
    return this.jobs.create(request);
  }

  @Post(':id/copies')
  @ApiOperation({ summary: 'A new job of the same design, without what was ticked and measured' })
  @ApiBody({ schema: { type: 'object', required: ['name'], properties: { name: text } } })
  copy(@Param('id', jobId) id: string, @Body() { name }: CopyJobDto): Promise<JobView> {
    return this.jobs.copy(id, name);
  }

  @Get(':id')
  @ApiOperation({ summary: 'A job with its latest design; the ETag is the design’s hash' })
  async get(@Param('id', jobId) id: string, @Res({ passthrough: true }) response: Response): Promise<JobView> {
    const job = await this.jobs.get(id);
    response.setHeader('ETag', `"${job.head.hash}"`);
    return job;
  }

  @Patch(':id')
  @ApiOperation({ summary: 'Name, customer, status, due date; put away, or kept to copy from' })
  @ApiBody({
    schema: {
      type: 'object',
      properties: {
        ...jobFields,
        status: { ...text, enum: [...jobStatuses] },
        archived: { type: 'boolean' },
        template: { type: 'boolean' },
      },
    },
  })
  update(@Param('id', jobId) id: string, @Body() request: UpdateJobDto): Promise<JobView> {
    return this.jobs.update(id, request);
  }

  @Put(':id/design')
  @ApiOperation({ summary: 'Save a design as the next revision' })
  @ApiHeader({ name: 'If-Match', required: true, description: 'Hash of the revision that was edited' })
  @ApiBody({ schema: { type: 'object', required: ['design'], properties: { design, note: text } } })
  @ApiConflictResponse({ description: 'Somebody saved in between: both versions are kept and returned.' })
  async save(
    @Param('id', jobId) id: string,
    @Body(wireBody('save')) request: Save,
    @Headers('if-match') basedOn: string | undefined,
    @Res({ passthrough: true }) response: Response,
  ): Promise<RevisionView> {
    if (basedOn === undefined)
      throw new HttpException('Say in If-Match which revision was edited, by its hash.', preconditionRequired);
    const outcome = await this.jobs.save(id, request, bareTag(basedOn));
    if (outcome.kind === 'conflict')
      throw new ConflictException({
        message: 'This job was saved elsewhere in the meantime. Both versions are kept.',
        head: outcome.head,
        yours: outcome.yours,
      });
    response.setHeader('ETag', `"${outcome.revision.hash}"`);
    return outcome.revision;
  }

  @Get(':id/revisions')
  @ApiOperation({ summary: 'Every revision of a job, newest first' })
  revisions(@Param('id', jobId) id: string): Promise<readonly RevisionView[]> {
    return this.jobs.revisions(id);
  }

  @Get(':id/revisions/:number')
  @ApiOperation({ summary: 'One revision with its design' })
  revision(
    @Param('id', jobId) id: string,
    @Param('number', revisionNumber) number: number,
  ): Promise<RevisionWithDesign> {
    return this.jobs.revision(id, number);
  }
}
