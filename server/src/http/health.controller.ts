import { Controller, Get, Injectable, Res } from '@nestjs/common';
import type { Response } from 'express';
import { DataSource } from 'typeorm';
import { outageOf, type Outage } from '../db/outage.js';
import { Public } from './request.js';

/** The database is asked at most this often, whoever asks us, ms; without an answer for so long it is away. */
const EVERY = 1_000;
const PATIENCE = 900;

type DatabaseState = 'ok' | Outage;

/** Whether the database answers, and whether it can be written to. */
@Injectable()
export class DatabaseHealth {
  private last: { readonly at: number; readonly state: Promise<DatabaseState> } | undefined;

  constructor(private readonly source: DataSource) {}

  state(): Promise<DatabaseState> {
    const now = Date.now();
    if (!this.last || now - this.last.at > EVERY) this.last = { at: now, state: this.look() };
    return this.last.state;
  }

  private async look(): Promise<DatabaseState> {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const late = new Promise<DatabaseState>((done) => {
      timer = setTimeout(() => done('away'), PATIENCE);
    });
    try {
      // A write, however small: a full disk and a database that can only be read show themselves in nothing else.
      return await Promise.race([this.source.query('select pulse()').then(() => 'ok' as const), late]);
    } catch (error) {
      return outageOf(error) ?? 'away';
    } finally {
      clearTimeout(timer);
    }
  }
}

interface Health {
  readonly status: 'ok' | 'not ready';
  readonly database: DatabaseState;
}

@Public()
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
