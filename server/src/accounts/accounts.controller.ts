import { msg, type Message } from '@dewpot/core/units';
import { timingSafeEqual } from 'node:crypto';
import { Body, Controller, Delete, Get, HttpCode, Inject, Post, Put, Req, Res } from '@nestjs/common';
import { Throttle } from '@nestjs/throttler';
import { Recovery, Registration, SignIn, WorkshopSettings, type DoorView, type SessionView } from '@dewpot/contract';
import type { Request, Response } from 'express';
import { CONFIG, type ServerConfig } from '../config.js';
import { ProblemError } from '../http/problem-error.js';
import { CurrentUser, EvenRemoved, ForRole, Public, type AppRequest } from '../http/request.js';
import { speakerIn } from '../http/speaker.js';
import { rate } from '../http/rate.js';
import { Accounts, type Account } from './accounts.service.js';
import { COOKIE, cookieFor } from './cookie.js';
import { DoorService } from './door.service.js';
import { People } from './people.service.js';
import { RecoveryService } from './recovery.service.js';
import { Sessions } from './sessions.js';
import { hashToken } from '../http/tokens.js';
import { WhileUnchanged } from '../http/unchanged.js';
import { WorkshopsService } from './workshops.service.js';

/** The account that was proven. @throws ProblemError 401 where none was, with what to check */
function proven(account: Account | undefined, otherwise: Message): Account {
  if (!account) throw new ProblemError(401, msg('server.signInFailed'), { detail: otherwise });
  return account;
}

@Controller('api')
export class AccountsController {
  constructor(
    private readonly accounts: Accounts,
    private readonly people: People,
    private readonly sessions: Sessions,
    private readonly recovery: RecoveryService,
    private readonly workshops: WorkshopsService,
    private readonly opening: DoorService,
    @Inject(CONFIG) private readonly config: ServerConfig,
  ) {}

  /** What the door offers. */
  @Public()
  @Get('door')
  async door(): Promise<DoorView> {
    const { loopback, registrationCode } = this.config;
    return { demo: loopback && (await this.accounts.ofDemo()) !== undefined, code: registrationCode !== undefined };
  }

  @Public()
  @Throttle(rate('accounts'))
  @Post('session')
  @HttpCode(204)
  signIn(@Body() { email, passphrase }: SignIn, @Req() request: Request): Promise<void> {
    return this.opening.letIn(email, request, async () =>
      proven(await this.people.known(email, passphrase), msg('server.wrongSignIn')),
    );
  }

  /** Chooses a new passphrase by a recovery code, and comes in. */
  @Public()
  @Throttle(rate('accounts'))
  @Post('session/recover')
  @HttpCode(204)
  recover(@Body() given: Recovery, @Req() request: Request): Promise<void> {
    return this.opening.letIn(given.email, request, async () =>
      proven(await this.recovery.recover(given), msg('server.wrongRecovery')),
    );
  }

  /** Enters the demo workshop without a passphrase: only while the server listens on loopback. */
  @Public()
  @Throttle(rate('accounts'))
  @Post('session/demo')
  @HttpCode(204)
  async enterDemo(@Req() request: Request): Promise<void> {
    if (!this.config.loopback)
      throw new ProblemError(403, msg('server.notAllowed'), { detail: msg('server.demoHereOnly') });
    const account = await this.accounts.ofDemo();
    if (!account) throw ProblemError.notFound('demo');
    await this.opening.open(account, request);
  }

  /** Founds a workshop with its owner, who then signs in. An address that is somebody's already is not told. */
  @Public()
  @Throttle(rate('accounts'))
  @Post('workshops')
  @HttpCode(204)
  async register(@Body() given: Registration, @Req() request: AppRequest): Promise<void> {
    this.checkCode(given.code);
    await this.workshops.register(given, speakerIn(given.language, request));
  }

  @EvenRemoved()
  @WhileUnchanged({ areas: ['workshop'], own: true, timeless: true })
  @Get('session')
  session(@CurrentUser() visitor: CurrentUser): Promise<SessionView> {
    return this.workshops.sessionOf(visitor);
  }

  @ForRole('guest')
  @EvenRemoved()
  @Delete('session')
  @HttpCode(204)
  async signOut(
    @CurrentUser() { personId, sessionId }: CurrentUser,
    @Res({ passthrough: true }) response: Response,
  ): Promise<void> {
    await this.sessions.end(personId, { only: sessionId });
    response.clearCookie(COOKIE, { ...cookieFor(response.req), maxAge: undefined });
  }

  @Put('workshop')
  async settings(@CurrentUser() visitor: CurrentUser, @Body() settings: WorkshopSettings): Promise<SessionView> {
    await this.workshops.change(settings);
    return this.session(visitor);
  }

  private checkCode(code = ''): void {
    const { registrationCode: wanted } = this.config;
    if (wanted === undefined || timingSafeEqual(hashToken(code.trim()), hashToken(wanted))) return;
    throw ProblemError.refused(
      msg('server.notRegistered'),
      'code',
      null,
      msg('server.wrongCode'),
      msg('server.askForCode'),
    );
  }
}
