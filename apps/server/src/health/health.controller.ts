import { Controller, Get, ServiceUnavailableException } from '@nestjs/common';
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
  @ApiOperation({ summary: 'The process can answer: its database does' })
  async ready(): Promise<{ readonly status: string }> {
    if (!(await this.database.isReady())) throw new ServiceUnavailableException('The database does not answer.');
    return { status: 'ready' };
  }
}
