import {
  Body,
  Controller,
  Get,
  HttpCode,
  HttpException,
  Param,
  Post,
  Query,
  Res,
  StreamableFile,
} from '@nestjs/common';
import { ApiBody, ApiOperation, ApiQuery, ApiTags } from '@nestjs/swagger';
import { AnswerQuoteDto, MakeQuoteDto, type JobQuotesView, type OfferView, type QuoteView } from '@vitrum/contract';
import type { Response } from 'express';
import { idOf } from '../common/id-of.js';
import { QuotesService } from './quotes.service.js';

const number = { type: 'number' } as const;
const text = { type: 'string' } as const;
const terms = {
  ratePerHour: number,
  failedShare: number,
  marginShare: number,
  furtherOff: number,
  tariffPerKwh: number,
  validDays: { type: 'integer' },
  includes: { type: 'array', items: text },
  note: text,
};

const pictures = { day: 'day', night: 'night', 'wall-day': 'wallDay', 'wall-night': 'wallNight' } as const;

/** Of a token no more is read than one can have. */
const tokenOf = (token: string): string => {
  if (!/^[\w-]{24}$/.test(token)) throw new HttpException('There is no such quote.', 404);
  return token;
};

@ApiTags('quotes')
@Controller('quotes')
export class QuotesController {
  constructor(private readonly quotes: QuotesService) {}

  @Get()
  @ApiOperation({ summary: 'What a quote of a job would be made from, and those that were made' })
  @ApiQuery({ name: 'job', required: true })
  ofJob(@Query('job', idOf('job in the book')) jobId: string): Promise<JobQuotesView> {
    return this.quotes.ofJob(jobId);
  }

  @Post()
  @ApiOperation({ summary: 'Make a quote of a job as it is now; its token opens it to the customer' })
  @ApiBody({ schema: { type: 'object', properties: { jobId: text, ...terms } } })
  make(@Body() { jobId, ...asked }: MakeQuoteDto): Promise<QuoteView> {
    return this.quotes.make(jobId, asked);
  }

  @Post(':id/withdraw')
  @HttpCode(200)
  @ApiOperation({ summary: 'Take a quote back' })
  withdraw(@Param('id', idOf('quote')) id: string): Promise<QuoteView> {
    return this.quotes.withdraw(id);
  }

  @Get(':id/pdf')
  @ApiOperation({ summary: 'The quote on paper' })
  async pdf(@Param('id', idOf('quote')) id: string): Promise<StreamableFile> {
    return new StreamableFile(await this.quotes.pdf(id), {
      type: 'application/pdf',
      disposition: 'attachment; filename="quote.pdf"',
    });
  }
}

@ApiTags('offers')
@Controller('offers')
export class OffersController {
  constructor(private readonly quotes: QuotesService) {}

  @Get(':token')
  @ApiOperation({ summary: 'A quote as the customer sees it' })
  offer(@Param('token') token: string): Promise<OfferView> {
    return this.quotes.offer(tokenOf(token));
  }

  @Get(':token/picture')
  @ApiOperation({ summary: 'The sign by day or by night, alone or on the customer’s wall (PNG)' })
  @ApiQuery({ name: 'of', enum: Object.keys(pictures) })
  async picture(
    @Param('token') token: string,
    @Query('of') of: string,
    @Res({ passthrough: true }) response: Response,
  ): Promise<StreamableFile> {
    const picture = await this.quotes.picture(tokenOf(token), pictures[of as keyof typeof pictures] ?? 'night');
    response.setHeader('Cache-Control', 'private, max-age=86400');
    return new StreamableFile(picture, { type: 'image/png' });
  }

  @Post(':token/answers')
  @HttpCode(200)
  @ApiOperation({ summary: 'Say yes to a quote, or remark on it' })
  @ApiBody({
    schema: {
      type: 'object',
      properties: { what: { type: 'string', enum: ['yes', 'remark'] }, name: text, remark: text },
    },
  })
  answer(@Param('token') token: string, @Body() said: AnswerQuoteDto): Promise<OfferView> {
    return this.quotes.answer(tokenOf(token), said);
  }
}
