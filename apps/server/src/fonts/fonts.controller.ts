import { BadRequestException, Controller, HttpCode, Post, Req } from '@nestjs/common';
import { ApiConsumes, ApiOperation, ApiTags } from '@nestjs/swagger';
import type { UnpackedFont } from '@vitrum/contract';
import type { Request } from 'express';
import { FontPool } from './font-pool.js';

/** What comes out of a font that a page cannot unpack itself. */
@ApiTags('fonts')
@Controller('fonts')
export class FontsController {
  constructor(private readonly pool: FontPool) {}

  @Post('unpack')
  @HttpCode(200)
  @ApiOperation({ summary: 'A WOFF2 font unpacked, as a design keeps it' })
  @ApiConsumes('font/woff2')
  async unpack(@Req() { body }: Request): Promise<UnpackedFont> {
    if (!Buffer.isBuffer(body) || body.length === 0)
      throw new BadRequestException('Send the font file itself, as font/woff2.');
    const font = await this.pool.unpack(Uint8Array.from(body));
    if (font === null) throw new BadRequestException('This WOFF2 file could not be read; save the font as TTF or OTF.');
    return { base64: Buffer.from(font).toString('base64') };
  }
}
