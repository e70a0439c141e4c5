import { Body, Controller, Get, Headers, HttpCode, Param, Post, Put, Res } from '@nestjs/common';
import { ApiBody, ApiConflictResponse, ApiHeader, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  ImportShelfDto,
  NewItemDto,
  WrittenItemDto,
  type ImportReport,
  type ItemChanged,
  type ShelfItemView,
} from '@vitrum/contract';
import type { ShelfItem } from '@vitrum/core';
import type { Response } from 'express';
import { versionIn } from '../common/version-tag.js';
import { ShelfService, shelfKindOf } from './shelf.service.js';

const figures = { type: 'object', additionalProperties: { type: 'string' } } as const;

@ApiTags('catalogue')
@Controller('catalogue')
export class ShelfController {
  constructor(private readonly shelf: ShelfService) {}

  @Get(':kind/items/:id')
  @ApiOperation({ summary: 'An item, how many jobs have it, and its version, which is the ETag too' })
  async view(
    @Param('kind') kind: string,
    @Param('id') id: string,
    @Res({ passthrough: true }) response: Response,
  ): Promise<ShelfItemView> {
    const view = await this.shelf.view(shelfKindOf(kind), id);
    response.setHeader('ETag', `"${view.version}"`);
    return view;
  }

  @Post(':kind/items')
  @ApiOperation({ summary: 'A new item of the shop’s own, perhaps a copy of another with other figures' })
  @ApiBody({
    schema: { type: 'object', required: ['figures'], properties: { figures, copyOf: { type: 'string' } } },
  })
  add(@Param('kind') kind: string, @Body() { figures, copyOf }: NewItemDto): Promise<ShelfItem> {
    return this.shelf.add(shelfKindOf(kind), figures, copyOf);
  }

  @Put(':kind/items/:id')
  @ApiOperation({ summary: 'Change an item; one that designs have stays for them, and another takes its place' })
  @ApiHeader({ name: 'If-Match', required: true, description: 'The version that was looked at' })
  @ApiBody({ schema: { type: 'object', required: ['figures'], properties: { figures } } })
  @ApiConflictResponse({ description: 'Somebody changed it in between: the item as it is now is returned.' })
  change(
    @Param('kind') kind: string,
    @Param('id') id: string,
    @Body() { figures }: WrittenItemDto,
    @Headers('if-match') basedOn: string | undefined,
  ): Promise<ItemChanged> {
    return this.shelf.change(shelfKindOf(kind), id, figures, versionIn(basedOn, 'the item'));
  }

  @Post(':kind/items/:id/retire')
  @HttpCode(200)
  @ApiOperation({ summary: 'No longer offer an item; designs that have it keep it' })
  retire(@Param('kind') kind: string, @Param('id') id: string): Promise<ShelfItem> {
    return this.shelf.retire(shelfKindOf(kind), id, true);
  }

  @Post(':kind/items/:id/offer')
  @HttpCode(200)
  @ApiOperation({ summary: 'Offer a retired item again' })
  offer(@Param('kind') kind: string, @Param('id') id: string): Promise<ShelfItem> {
    return this.shelf.retire(shelfKindOf(kind), id, false);
  }

  @Post(':kind/import')
  @HttpCode(200)
  @ApiOperation({ summary: 'Read a list from CSV: what it would change, and what was not understood; or take it' })
  @ApiBody({
    schema: {
      type: 'object',
      required: ['text', 'apply'],
      properties: { text: { type: 'string' }, apply: { type: 'boolean' } },
    },
  })
  import(@Param('kind') kind: string, @Body() { text, apply }: ImportShelfDto): Promise<ImportReport> {
    return this.shelf.import(shelfKindOf(kind), text, apply);
  }
}
