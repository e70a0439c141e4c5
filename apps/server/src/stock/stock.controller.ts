import { Body, Controller, Get, HttpCode, HttpException, Param, Post, Query } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiQuery, ApiTags } from '@nestjs/swagger';
import {
  StockEntryDto,
  StockOpDto,
  StockUseDto,
  type JobStockView,
  type LotView,
  type ShoppingView,
  type StockDone,
  type StockEntryView,
  type StockLineView,
} from '@vitrum/contract';
import { isUUID } from 'class-validator';
import { StockListsService } from './stock-lists.service.js';
import { idOf } from '../common/id-of.js';
import { StockService } from './stock.service.js';

const jobId = idOf('job in the book');
const mostJobs = 100;
const uuid = { type: 'string', format: 'uuid' } as const;
const number = { type: 'number' } as const;

const uuidOr = (text: string | undefined, what: string): string | undefined => {
  if (text !== undefined && !isUUID(text)) throw new HttpException(`There is no such ${what}.`, 404);
  return text;
};

@ApiTags('stock')
@Controller('stock')
export class StockController {
  constructor(
    private readonly stock: StockService,
    private readonly lists: StockListsService,
  ) {}

  @Get()
  @ApiOperation({ summary: 'Everything of which something is there, or to which a job has a claim' })
  lines(): Promise<readonly StockLineView[]> {
    return this.lists.lines();
  }

  @Get('lots')
  @ApiOperation({ summary: 'Reels, sheets, offcuts, tins of one thing, the latest first' })
  @ApiQuery({ name: 'before', required: false, description: 'Older than that lot' })
  lots(
    @Query('kind') kind = '',
    @Query('line') line = '',
    @Query('before') before?: string,
  ): Promise<readonly LotView[]> {
    return this.lists.lots(kind, line, uuidOr(before, 'lot') ?? null);
  }

  @Get('entries')
  @ApiOperation({ summary: 'The ledger, the latest first: of all, of a lot, or of a job' })
  @ApiQuery({ name: 'lot', required: false })
  @ApiQuery({ name: 'job', required: false })
  @ApiQuery({ name: 'before', required: false, description: 'Before the entry of that number' })
  entries(
    @Query('lot') lot?: string,
    @Query('job') job?: string,
    @Query('before') before?: string,
  ): Promise<readonly StockEntryView[]> {
    const number = /^\d{1,15}$/.test(before ?? '') ? Number(before) : undefined;
    const [lotId, ofJob] = [uuidOr(lot, 'lot'), uuidOr(job, 'job')];
    return this.lists.entries({
      ...(lotId === undefined ? {} : { lotId }),
      ...(ofJob === undefined ? {} : { jobId: ofJob }),
      ...(number === undefined ? {} : { before: number }),
    });
  }

  @Post('entries')
  @ApiOperation({
    summary: 'Something was bought, counted, used, returned, scrapped, opened or parted; sent twice, it counts once',
  })
  @ApiBody({
    schema: {
      type: 'object',
      required: ['op', 'what'],
      properties: {
        op: uuid,
        what: { type: 'string', enum: ['bought', 'counted', 'used', 'returned', 'scrapped', 'opened', 'parted'] },
        lotId: uuid,
        kind: { type: 'string' },
        itemId: { type: 'string' },
        amount: number,
        pieces: { type: 'integer' },
        widthMm: number,
        heightMm: number,
        openedOn: { type: 'string', format: 'date' },
        jobId: uuid,
        note: { type: 'string' },
      },
    },
  })
  enter(@Body() request: StockEntryDto): Promise<StockDone> {
    return this.stock.enter(request);
  }

  @Get('shopping')
  @ApiOperation({ summary: 'What is short for the jobs at hand, or for those named, as one list to buy' })
  @ApiQuery({ name: 'jobs', required: false, description: 'Ids with commas between them' })
  shopping(@Query('jobs') ids?: string): Promise<ShoppingView> {
    const named =
      ids === undefined
        ? null
        : ids
            .split(',')
            .slice(0, mostJobs)
            .map((id) => uuidOr(id, 'job')!);
    return this.stock.shopping(named);
  }

  @Get('jobs/:id')
  @ApiOperation({ summary: 'What a job takes from the shelf, and what of it is short' })
  ofJob(@Param('id', jobId) id: string): Promise<JobStockView> {
    return this.stock.ofJob(id);
  }

  @Post('jobs/:id/claim')
  @HttpCode(200)
  @ApiOperation({ summary: 'Keep for a job what it takes' })
  @ApiBody({ schema: { type: 'object', required: ['op'], properties: { op: uuid } } })
  claim(@Param('id', jobId) id: string, @Body() { op }: StockOpDto): Promise<JobStockView> {
    return this.stock.claim(id, op);
  }

  @Post('jobs/:id/release')
  @HttpCode(200)
  @ApiOperation({ summary: 'Keep nothing for a job any more' })
  @ApiBody({ schema: { type: 'object', required: ['op'], properties: { op: uuid } } })
  release(@Param('id', jobId) id: string, @Body() { op }: StockOpDto): Promise<JobStockView> {
    return this.stock.release(id, op);
  }

  @Post('jobs/:id/use')
  @HttpCode(200)
  @ApiOperation({ summary: 'Take from stock what a job is made from' })
  @ApiBody({
    schema: {
      type: 'object',
      required: ['op'],
      properties: { op: uuid, keepLeft: { type: 'boolean', description: 'Enter what is left of sheets as offcuts' } },
    },
  })
  use(@Param('id', jobId) id: string, @Body() { op, keepLeft = false }: StockUseDto): Promise<JobStockView> {
    return this.stock.use(id, op, keepLeft);
  }
}
