import { Body, Controller, Delete, Get, HttpCode, Post, Req } from '@nestjs/common';
import { NewPasskey, PasskeySignIn, type PasskeyOptions, type PasskeyView } from '@dewpot/contract';
import { Throttle } from '@nestjs/throttler';
import { Key } from '../http/key-param.js';
import { originOf } from '../http/origin.js';
import { rate } from '../http/rate.js';
import { CurrentUser, ForRole, InPerson, Public, type AppRequest } from '../http/request.js';
import { DoorService } from './door.service.js';
import { PasskeysService, type Site } from './passkeys.service.js';
import { People } from './people.service.js';

/** Where a request comes from; it was found to be of our own pages. */
const siteOf = (request: AppRequest): Site => ({ name: request.hostname, origin: originOf(request) });

/** One's passkeys, and the way in by one of them. */
@ForRole('guest')
@InPerson()
@Controller('api')
export class PasskeysController {
  constructor(
    private readonly passkeys: PasskeysService,
    private readonly people: People,
    private readonly door: DoorService,
  ) {}

  @Get('account/passkeys')
  async all(@CurrentUser() { personId }: CurrentUser): Promise<PasskeyView[]> {
    return this.passkeys.all(await this.people.accountOf(personId));
  }

  /** What a browser makes a passkey with. */
  @Post('session/passkey/offer')
  @Throttle(rate('accounts'))
  @HttpCode(200)
  async offer(@CurrentUser() { personId }: CurrentUser, @Req() request: AppRequest): Promise<PasskeyOptions> {
    const who = await this.people.reading(personId);
    return this.passkeys.offer(who.accountId, who, siteOf(request));
  }

  /** Keeps one that was made. */
  @Post('account/passkeys')
  @Throttle(rate('accounts'))
  @HttpCode(201)
  async add(
    @CurrentUser() { personId }: CurrentUser,
    @Body() given: NewPasskey,
    @Req() request: AppRequest,
  ): Promise<PasskeyView[]> {
    return this.passkeys.add(await this.people.accountOf(personId), given, siteOf(request));
  }

  @Delete('account/passkeys/:id')
  @HttpCode(204)
  async remove(@CurrentUser() { personId }: CurrentUser, @Key() id: string): Promise<void> {
    await this.passkeys.remove(await this.people.accountOf(personId), id);
  }

  /** What a browser asks for a passkey with. */
  @Public()
  @Throttle(rate('accounts'))
  @Post('session/passkey/options')
  @HttpCode(200)
  askFor(@Req() request: AppRequest): Promise<PasskeyOptions> {
    return this.passkeys.askFor(siteOf(request));
  }

  /** Comes in by a passkey. */
  @Public()
  @Throttle(rate('accounts'))
  @Post('session/passkey')
  @HttpCode(204)
  async signIn(@Body() given: PasskeySignIn, @Req() request: AppRequest): Promise<void> {
    await this.door.open(await this.passkeys.known(given, siteOf(request)), request);
  }
}
