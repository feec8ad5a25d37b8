import { Body, Controller, Delete, Get, HttpCode, Post, Put } from '@nestjs/common';
import {
  LanguageInput,
  PassphraseInput,
  ScriptTokenInput,
  type OwnSessionView,
  type RecoveryCodes,
  type RecoveryCodesLeft,
  type ScriptToken,
} from '@dewpot/contract';
import { Throttle } from '@nestjs/throttler';
import { Key } from '../http/key-param.js';
import { CurrentUser, ForRole, InPerson } from '../http/request.js';
import { rate } from '../http/rate.js';
import { People } from './people.service.js';
import { RecoveryService } from './recovery.service.js';
import { Sessions } from './sessions.js';

/** A person's own passphrase, sessions and tokens. */
@ForRole('guest')
@InPerson()
@Controller('api/account')
export class OwnAccountController {
  constructor(
    private readonly people: People,
    private readonly sessions: Sessions,
    private readonly recoveryCodes: RecoveryService,
  ) {}

  /** Changes one's passphrase; one's other sessions end. */
  @Put('passphrase')
  @Throttle(rate('accounts'))
  @HttpCode(204)
  passphrase(@Body() { current, fresh }: PassphraseInput, @CurrentUser() visitor: CurrentUser): Promise<void> {
    return this.people.changePassphrase(visitor, current, fresh);
  }

  /** How many of one's recovery codes are left. */
  @Get('recovery')
  recovery(@CurrentUser() { personId }: CurrentUser): Promise<RecoveryCodesLeft> {
    return this.recoveryCodes.left(personId);
  }

  /** Makes new recovery codes in place of the old ones. They are told this once. */
  @Post('recovery')
  @Throttle(rate('accounts'))
  @HttpCode(201)
  makeRecovery(@CurrentUser() { personId }: CurrentUser): Promise<RecoveryCodes> {
    return this.recoveryCodes.make(personId);
  }

  /** Chooses the language that one reads in. */
  @Put('language')
  @HttpCode(204)
  language(@Body() { language }: LanguageInput, @CurrentUser() { personId }: CurrentUser): Promise<void> {
    return this.people.readIn(personId, language);
  }

  @Get('sessions')
  list(@CurrentUser() visitor: CurrentUser): Promise<OwnSessionView[]> {
    return this.sessions.own(visitor);
  }

  @Delete('sessions/:id')
  @HttpCode(204)
  end(@Key() id: string, @CurrentUser() { personId }: CurrentUser): Promise<void> {
    return this.sessions.end(personId, { only: id });
  }

  /** Makes a token with which a script acts as oneself. It is told this once. */
  @Post('tokens')
  @HttpCode(201)
  async token(
    @Body() { label, ...limits }: ScriptTokenInput,
    @CurrentUser() visitor: CurrentUser,
  ): Promise<ScriptToken> {
    return { token: await this.sessions.open(visitor, 'script', label, limits) };
  }
}
