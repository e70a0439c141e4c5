import { Body, Controller, Delete, Get, NotFoundException, Param, Put } from '@nestjs/common';
import { ApiBody, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { MeasuredDto } from '@vitrum/contract';
import { measurableKinds, stuffNames, type Catalogue, type MeasurableKind } from '@vitrum/core';
import { CatalogueService } from './catalogue.service.js';

const kindOf = (kind: string): MeasurableKind => {
  const known = measurableKinds.find((each) => each === kind);
  if (known === undefined)
    throw new NotFoundException(`“${kind}” cannot be measured; there is ${measurableKinds.join(', ')}.`);
  return known;
};

const figure = { type: 'number' } as const;

@ApiTags('catalogue')
@Controller('catalogue')
export class CatalogueController {
  constructor(private readonly catalogue: CatalogueService) {}

  @Get()
  @ApiOperation({
    summary: 'Strips, faces, coatings, boards, linings, films, supplies, wires, sundries and the shop’s rates',
  })
  @ApiOkResponse({ description: 'The whole catalogue, a list a kind.' })
  read(): Promise<Catalogue> {
    return this.catalogue.read();
  }

  @Put(':kind/:id/measured')
  @ApiOperation({ summary: 'Put the shop’s own readings in place of typical figures' })
  @ApiBody({
    schema: {
      type: 'object',
      required: ['figures', 'on', 'how', 'readings', 'errorShare'],
      properties: {
        figures: {
          type: 'object',
          properties: {
            transmittance: figure,
            reflectance: figure,
            sigmaDeg: figure,
            hazeShare: figure,
            lumensPerM: figure,
            cutMm: figure,
            stuff: { type: 'string', enum: [...stuffNames] },
          },
        },
        on: { type: 'string', format: 'date' },
        how: { type: 'string' },
        readings: { type: 'integer' },
        errorShare: figure,
      },
    },
  })
  measure(@Param('kind') kind: string, @Param('id') id: string, @Body() request: MeasuredDto): Promise<object> {
    return this.catalogue.measure(kindOf(kind), id, request);
  }

  @Delete(':kind/:id/measured')
  @ApiOperation({ summary: 'Go back to the typical figures' })
  forget(@Param('kind') kind: string, @Param('id') id: string): Promise<object> {
    return this.catalogue.forget(kindOf(kind), id);
  }
}
