import { Body, Controller, Delete, Get, HttpCode, Inject, Post, Put, Res } from '@nestjs/common';
import { Throttle } from '@nestjs/throttler';
import { Registration, SignIn, WorkshopSettings, type DoorView, type SessionView } from '@dewpot/contract';
import type { CookieOptions, Response } from 'express';
import { furnishPlaces } from '../climate/index.js';
import { CONFIG, type ServerConfig } from '../config.js';
import { PersonEntity, WorkshopEntity } from '../db/entities.js';
import { Rows } from '../db/rows.js';
import { ProblemError } from '../http/problem-error.js';
import { Public, Who, type Visitor } from '../http/request.js';
import { RefitsService } from '../casts/index.js';
import { fillWithHandbook } from '../stores/index.js';
import { COOKIE } from './guard.js';
import { SESSION_DAYS, Sessions } from './sessions.js';

/** What a new workshop starts with. */
export const firstSettings = { units: 'metric', currency: '€', liftLimit: 25000, bucket: 14000, scaleStep: 1 } as const;

const cookie: CookieOptions = { httpOnly: true, sameSite: 'strict', path: '/', maxAge: SESSION_DAYS * 24 * 3_600_000 };
const slowly = { default: { limit: Number(process.env.DEWPOT_SIGN_IN_LIMIT ?? 10), ttl: 60_000 } };

@Controller('api')
export class AccountsController {
  constructor(
    private readonly sessions: Sessions,
    private readonly rows: Rows,
    private readonly refits: RefitsService,
    @Inject(CONFIG) private readonly config: ServerConfig,
  ) {}

  /** What the door offers. */
  @Public()
  @Get('door')
  async door(): Promise<DoorView> {
    return { demo: this.config.loopback && (await this.sessions.demoDoor()) !== undefined };
  }

  @Public()
  @Throttle(slowly)
  @Post('session')
  @HttpCode(204)
  async signIn(@Body() { email, passphrase }: SignIn, @Res({ passthrough: true }) response: Response): Promise<void> {
    response.cookie(COOKIE, await this.sessions.signIn(email, passphrase), cookie);
  }

  /** Enters the demo workshop without a passphrase: only while the server listens on loopback. */
  @Public()
  @Throttle(slowly)
  @Post('session/demo')
  @HttpCode(204)
  async enterDemo(@Res({ passthrough: true }) response: Response): Promise<void> {
    if (!this.config.loopback)
      throw new ProblemError(403, 'Not allowed', { detail: 'The demo opens only on the machine that it runs on.' });
    response.cookie(COOKIE, await this.sessions.enterDemo(), cookie);
  }

  @Public()
  @Throttle(slowly)
  @Post('workshops')
  @HttpCode(204)
  async register(@Body() given: Registration, @Res({ passthrough: true }) response: Response): Promise<void> {
    const { workshopId, personId } = await this.sessions.register({
      ...given,
      settings: { ...firstSettings, name: given.workshop },
    });
    await this.rows.inWorkshop(workshopId, async () => {
      await fillWithHandbook(this.rows);
      await furnishPlaces(this.rows);
    });
    response.cookie(COOKIE, await this.sessions.open(workshopId, personId), cookie);
  }

  @Get('session')
  async session(@Who() visitor: Visitor): Promise<SessionView> {
    const person = await this.rows.of(PersonEntity).findOneByOrFail({ id: visitor.personId });
    const { id, settings, demo, version } = await this.rows
      .of(WorkshopEntity)
      .findOneByOrFail({ id: visitor.workshopId });
    return { person: { id: person.id, name: person.name }, workshop: { id, demo, version, ...settings } };
  }

  @Delete('session')
  @HttpCode(204)
  async signOut(@Who() visitor: Visitor, @Res({ passthrough: true }) response: Response): Promise<void> {
    await this.sessions.close(visitor);
    response.clearCookie(COOKIE, { ...cookie, maxAge: undefined });
  }

  @Put('workshop')
  async settings(@Who() visitor: Visitor, @Body() { version, ...settings }: WorkshopSettings): Promise<SessionView> {
    const workshops = this.rows.of(WorkshopEntity);
    const { version: current, settings: before } = await workshops.findOneByOrFail({ id: visitor.workshopId });
    if (version !== undefined && version !== current) {
      throw new ProblemError(409, 'Someone changed this meanwhile', {
        detail: 'The workshop’s settings were changed in another browser. Open them again.',
      });
    }
    await workshops.update({ id: visitor.workshopId }, { settings });
    if (before.drying !== settings.drying) await this.refits.ask();
    return this.session(visitor);
  }
}
