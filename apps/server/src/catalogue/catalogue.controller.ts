import { Controller, Get } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Catalogue } from '@vitrum/core';
import { CatalogueService } from './catalogue.service.js';

@ApiTags('catalogue')
@Controller('catalogue')
export class CatalogueController {
  constructor(private readonly catalogue: CatalogueService) {}

  @Get()
  @ApiOperation({ summary: 'Strips, faces, boards, linings, films, supplies, wires, sundries and the shop’s rates' })
  @ApiOkResponse({ description: 'The whole catalogue, a list a kind.' })
  read(): Promise<Catalogue> {
    return this.catalogue.read();
  }
}
