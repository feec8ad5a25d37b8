import { Controller, Get } from '@nestjs/common';
import { DataSource } from 'typeorm';
import { Public } from './request.js';

@Public()
@Controller('api/health')
export class HealthController {
  constructor(private readonly source: DataSource) {}

  /** Whether the server and its database answer. */
  @Get()
  async health(): Promise<{ status: 'ok'; database: 'ok' }> {
    await this.source.query('select 1');
    return { status: 'ok', database: 'ok' };
  }
}
