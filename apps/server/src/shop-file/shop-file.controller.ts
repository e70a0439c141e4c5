import { createReadStream } from 'node:fs';
import { rm } from 'node:fs/promises';
import { dirname } from 'node:path';
import { Controller, Get, HttpCode, Post, Req, StreamableFile } from '@nestjs/common';
import { ApiBody, ApiConsumes, ApiOperation, ApiTags } from '@nestjs/swagger';
import type { ShopFileReport } from '@vitrum/contract';
import type { Request } from 'express';
import { ShopFileService } from './shop-file.service.js';

@ApiTags('shop')
@Controller('shop')
export class ShopFileController {
  constructor(private readonly files: ShopFileService) {}

  @Get('file')
  @ApiOperation({ summary: 'Everything that the shop keeps as one file: JSON, a line a row, packed by gzip' })
  async file(): Promise<StreamableFile> {
    const path = await this.files.write();
    const stream = createReadStream(path);
    // Taken away once it was read, or was not.
    stream.on('close', () => void rm(dirname(path), { recursive: true, force: true }));
    const day = new Date().toISOString().slice(0, 10);
    return new StreamableFile(stream, {
      type: 'application/gzip',
      disposition: `attachment; filename="shop-${day}.ndjson.gz"`,
    });
  }

  @Post('file')
  @HttpCode(200)
  @ApiOperation({ summary: 'Read such a file back: what is not there yet is added; all of it, or nothing' })
  @ApiConsumes('application/octet-stream')
  @ApiBody({ schema: { type: 'string', format: 'binary' } })
  read(@Req() request: Request): Promise<ShopFileReport> {
    return this.files.read(request);
  }
}
