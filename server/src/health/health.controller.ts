import { Controller, Get, Res } from '@nestjs/common';
import type { Response } from 'express';
import { NeedsNoDatabase, Public } from '../http/request.js';
import { DatabaseHealth, type DatabaseState } from './database-health.js';

interface Health {
  readonly status: 'ok' | 'not ready';
  readonly database: DatabaseState;
}

@Public()
@NeedsNoDatabase()
@Controller('api/health')
export class HealthController {
  constructor(private readonly database: DatabaseHealth) {}

  /** Whether this server lives: it answers. */
  @Get('live')
  live(): { status: 'ok' } {
    return { status: 'ok' };
  }

  /** Whether it can do its work: which part is away where it cannot. */
  @Get(['', 'ready'])
  async ready(@Res({ passthrough: true }) response: Response): Promise<Health> {
    const database = await this.database.state();
    if (database !== 'ok') response.status(503).setHeader('Retry-After', '2');
    return { status: database === 'ok' ? 'ok' : 'not ready', database };
  }
}
