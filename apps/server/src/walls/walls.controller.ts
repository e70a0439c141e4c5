import {
  BadRequestException,
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Param,
  Put,
  Query,
  Req,
  StreamableFile,
} from '@nestjs/common';
import { ApiBody, ApiConsumes, ApiOperation, ApiQuery, ApiTags } from '@nestjs/swagger';
import { WallSetupDto, type WallView } from '@vitrum/contract';
import type { Request } from 'express';
import { idOf } from '../common/id-of.js';
import { WallsService } from './walls.service.js';

const jobIdOf = idOf('job in the book');
const number = { type: 'number' } as const;
const place = { type: 'array', items: number, minItems: 2, maxItems: 2 } as const;

@ApiTags('walls')
@Controller('walls/:jobId')
export class WallsController {
  constructor(private readonly walls: WallsService) {}

  @Get()
  @ApiOperation({
    summary: 'The photograph of the wall that a job’s sign is to hang on, and where; nothing where there is none',
  })
  async ofJob(@Param('jobId', jobIdOf) jobId: string): Promise<{ readonly wall: WallView | null }> {
    return { wall: await this.walls.ofJob(jobId) };
  }

  @Get('photo')
  @ApiOperation({ summary: 'The photograph itself (PNG)' })
  async photo(@Param('jobId', jobIdOf) jobId: string): Promise<StreamableFile> {
    return new StreamableFile(await this.walls.photo(jobId), { type: 'image/png' });
  }

  @Put('photo')
  @HttpCode(204)
  @ApiOperation({ summary: 'Keep a photograph in place of the one before' })
  @ApiConsumes('image/png')
  async keepPhoto(@Param('jobId', jobIdOf) jobId: string, @Req() { body }: Request): Promise<void> {
    if (!Buffer.isBuffer(body) || body.length === 0)
      throw new BadRequestException('Send the photograph itself, as image/png.');
    await this.walls.keepPhoto(jobId, body);
  }

  @Put('setup')
  @ApiOperation({ summary: 'Say where the sign is to hang' })
  @ApiBody({
    schema: {
      type: 'object',
      properties: {
        corners: { type: 'array', items: place, minItems: 4, maxItems: 4 },
        widthMm: number,
        heightMm: number,
        middleMm: place,
        taken: { type: 'string', enum: ['day', 'night'] },
      },
    },
  })
  place(@Param('jobId', jobIdOf) jobId: string, @Body() setup: WallSetupDto): Promise<WallView> {
    return this.walls.place(jobId, setup);
  }

  @Delete()
  @HttpCode(204)
  @ApiOperation({ summary: 'Put the photograph away for good' })
  remove(@Param('jobId', jobIdOf) jobId: string): Promise<void> {
    return this.walls.remove(jobId);
  }

  @Get('picture')
  @ApiOperation({ summary: 'The sign on its wall by day or by night (PNG)' })
  @ApiQuery({ name: 'by', enum: ['day', 'night'] })
  async picture(@Param('jobId', jobIdOf) jobId: string, @Query('by') by: string): Promise<StreamableFile> {
    const picture = await this.walls.picture(jobId, by === 'day' ? 'day' : 'night');
    return new StreamableFile(picture, { type: 'image/png' });
  }
}
