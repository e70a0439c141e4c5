import {
  BadRequestException,
  Body,
  Controller,
  Get,
  HttpCode,
  Param,
  Post,
  Put,
  Query,
  Req,
  Res,
  StreamableFile,
} from '@nestjs/common';
import { ApiBody, ApiConsumes, ApiOperation, ApiQuery, ApiTags } from '@nestjs/swagger';
import { AddToLogDto, type LogEntryView, type LogView } from '@vitrum/contract';
import { logWhats } from '@vitrum/core';
import type { Request, Response } from 'express';
import { idOf } from '../common/id-of.js';
import { BenchService } from './bench.service.js';

const text = { type: 'string' } as const;
const orNull = (type: string) => ({ type, nullable: true }) as const;

/** A place in the log; nothing is its beginning. */
const placeOf = (after: string | undefined): number => {
  if (after === undefined || after === '') return 0;
  if (!/^\d{1,15}$/.test(after)) throw new BadRequestException('“after” is a number that a part of the log gave.');
  return Number(after);
};

@ApiTags('bench')
@Controller('bench/:jobId')
export class BenchController {
  constructor(private readonly bench: BenchService) {}

  @Get('log')
  @ApiOperation({ summary: 'What was written down at the bench, in parts' })
  @ApiQuery({ name: 'after', required: false, description: 'The number of the last entry that is known' })
  read(@Param('jobId', idOf('job in the book')) jobId: string, @Query('after') after?: string): Promise<LogView> {
    return this.bench.read(jobId, placeOf(after));
  }

  @Post('log')
  @HttpCode(200)
  @ApiOperation({ summary: 'Add to the log; an entry that is there already counts once' })
  @ApiBody({
    schema: {
      type: 'object',
      required: ['entries'],
      properties: {
        entries: {
          type: 'array',
          items: {
            type: 'object',
            properties: {
              id: text,
              stepId: orNull('string'),
              what: { type: 'string', enum: [...logWhats] },
              by: text,
              at: text,
              value: orNull('number'),
              words: text,
              of: orNull('string'),
            },
          },
        },
      },
    },
  })
  add(
    @Param('jobId', idOf('job in the book')) jobId: string,
    @Body() { entries }: AddToLogDto,
  ): Promise<readonly LogEntryView[]> {
    return this.bench.add(jobId, entries);
  }

  @Put('photos/:id')
  @HttpCode(204)
  @ApiOperation({ summary: 'Keep a photograph for the entry of the same id' })
  @ApiConsumes('image/jpeg', 'image/png')
  async keepPhoto(
    @Param('jobId', idOf('job in the book')) jobId: string,
    @Param('id', idOf('photograph')) id: string,
    @Req() { body }: Request,
  ): Promise<void> {
    if (!Buffer.isBuffer(body) || body.length === 0)
      throw new BadRequestException('Send the photograph itself, as image/jpeg or image/png.');
    await this.bench.keepPhoto(jobId, id, body);
  }

  @Get('photos/:id')
  @ApiOperation({ summary: 'A photograph from the bench' })
  async photo(
    @Param('jobId', idOf('job in the book')) jobId: string,
    @Param('id', idOf('photograph')) id: string,
    @Res({ passthrough: true }) response: Response,
  ): Promise<StreamableFile> {
    const { type, bytes } = await this.bench.photo(jobId, id);
    response.setHeader('Cache-Control', 'private, max-age=31536000, immutable');
    return new StreamableFile(bytes, { type });
  }
}
