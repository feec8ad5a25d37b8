import { Body, Controller, Delete, Get, HttpCode, Post, Put } from '@nestjs/common';
import { PassphraseInput, ScriptTokenInput, type OwnSessionView, type ScriptToken } from '@dewpot/contract';
import { Throttle } from '@nestjs/throttler';
import { Key } from '../http/key-param.js';
import { Who, type Visitor } from '../http/request.js';
import { People } from './people.service.js';
import { Sessions } from './sessions.js';
import { slowly } from './slowly.js';

/** A person's own passphrase, sessions and tokens. */
@Controller('api/account')
export class OwnAccountController {
  constructor(
    private readonly people: People,
    private readonly sessions: Sessions,
  ) {}

  /** Changes one's passphrase; one's other sessions end. */
  @Put('passphrase')
  @Throttle(slowly)
  @HttpCode(204)
  passphrase(@Body() { current, fresh }: PassphraseInput, @Who() visitor: Visitor): Promise<void> {
    return this.people.changePassphrase(visitor, current, fresh);
  }

  @Get('sessions')
  list(@Who() visitor: Visitor): Promise<OwnSessionView[]> {
    return this.sessions.own(visitor);
  }

  @Delete('sessions/:id')
  @HttpCode(204)
  end(@Key() id: string, @Who() { personId }: Visitor): Promise<void> {
    return this.sessions.end(personId, { only: id });
  }

  /** Makes a token with which a script acts as oneself. It is told this once. */
  @Post('tokens')
  @HttpCode(201)
  async token(@Body() { label }: ScriptTokenInput, @Who() visitor: Visitor): Promise<ScriptToken> {
    return { token: await this.sessions.open(visitor, 'script', label) };
  }
}
