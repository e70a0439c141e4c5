import { Body, Controller, Get, Headers, Put, Res } from '@nestjs/common';
import { ApiBody, ApiConflictResponse, ApiHeader, ApiOperation, ApiTags } from '@nestjs/swagger';
import { RatesDto, type RatesView } from '@vitrum/contract';
import type { Response } from 'express';
import { versionIn } from '../common/version-tag.js';
import { RatesService } from './rates.service.js';

const amount = { type: 'number', minimum: 0 } as const;

@ApiTags('catalogue')
@Controller('catalogue/rates')
export class RatesController {
  constructor(private readonly rates: RatesService) {}

  @Get()
  @ApiOperation({ summary: 'What the shop reckons with, and its version, which is the ETag too' })
  async view(@Res({ passthrough: true }) response: Response): Promise<RatesView> {
    const view = await this.rates.view();
    response.setHeader('ETag', `"${view.version}"`);
    return view;
  }

  @Put()
  @ApiOperation({ summary: 'Change money, saw cut, waste, and the colours of lines in files for machines' })
  @ApiHeader({ name: 'If-Match', required: true, description: 'The version that was looked at' })
  @ApiBody({
    schema: {
      type: 'object',
      required: ['currency', 'labourPerHour', 'energyPerKwh', 'kerfMm', 'wasteShare', 'machineColours'],
      properties: {
        currency: { type: 'string', maxLength: 8 },
        labourPerHour: amount,
        energyPerKwh: amount,
        kerfMm: amount,
        wasteShare: { type: 'number', minimum: 0, maximum: 0.9 },
        machineColours: { type: 'object', additionalProperties: { type: 'string', pattern: '^#[0-9a-f]{6}$' } },
      },
    },
  })
  @ApiConflictResponse({ description: 'Somebody changed them in between: the rates as they are now are returned.' })
  change(@Body() rates: RatesDto, @Headers('if-match') basedOn: string | undefined): Promise<RatesView> {
    return this.rates.change(rates, versionIn(basedOn, 'the settings'));
  }
}
