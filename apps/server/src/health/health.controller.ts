import { Controller, Get, HttpException } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { SkipThrottle } from '@nestjs/throttler';
import { DatabaseService } from '../database/database.module.js';

@ApiTags('health')
@SkipThrottle()
@Controller()
export class HealthController {
  constructor(private readonly database: DatabaseService) {}

  @Get('health')
  @ApiOperation({ summary: 'The process is up' })
  health(): { readonly status: string } {
    return { status: 'up' };
  }

  @Get('ready')
  @ApiOperation({ summary: 'The process can answer: its database does; if not, why' })
  async ready(): Promise<{ readonly status: string }> {
    const why = await this.database.absence();
    if (why !== null) throw new HttpException({ message: `The database does not answer: ${why}.` }, 503);
    return { status: 'ready' };
  }
}
