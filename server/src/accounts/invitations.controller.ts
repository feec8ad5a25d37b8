import { Body, Controller, Delete, Get, HttpCode, Post, Req } from '@nestjs/common';
import { Throttle } from '@nestjs/throttler';
import {
  InvitationInput,
  InvitationTaken,
  InvitationToken,
  PassphraseRenewed,
  type InvitationOffer,
  type InvitationView,
  type NewInvitation,
} from '@dewpot/contract';
import type { Request } from 'express';
import { Key } from '../http/key-param.js';
import { rate } from '../http/rate.js';
import { CurrentUser, ForRole, InPerson, Public, type AppRequest } from '../http/request.js';
import { DoorService } from './door.service.js';
import { InvitationMailsService } from './invitation-mails.service.js';
import { InvitationsService } from './invitations.service.js';

/** How others come into the workshop. */
@ForRole('owner')
@InPerson()
@Controller('api/invitations')
export class InvitationsController {
  constructor(
    private readonly invitations: InvitationsService,
    private readonly door: DoorService,
    private readonly mails: InvitationMailsService,
  ) {}

  @Get()
  open(): Promise<InvitationView[]> {
    return this.invitations.open();
  }

  /** Invites somebody. The token is told this once. */
  @Post()
  @HttpCode(201)
  async invite(
    @CurrentUser() { personId }: CurrentUser,
    @Body() { email, ...given }: InvitationInput,
    @Req() request: AppRequest,
  ): Promise<NewInvitation> {
    const made = await this.invitations.invite(personId, given);
    return email === undefined ? made : this.mails.post(made, { to: email }, request);
  }

  @Delete(':id')
  @HttpCode(204)
  takeBack(@Key() id: string): Promise<void> {
    return this.invitations.takeBack(id);
  }

  /** What an invitation offers, to whoever has its token. */
  @Public()
  @Throttle(rate('accounts'))
  @Post('offer')
  @HttpCode(200)
  offer(@Body() { token }: InvitationToken): Promise<InvitationOffer> {
    return this.invitations.offer(token);
  }

  /** Takes up an invitation, and comes in. */
  @Public()
  @Throttle(rate('accounts'))
  @Post('take')
  @HttpCode(204)
  async take(@Body() given: InvitationTaken, @Req() request: Request): Promise<void> {
    await this.door.letIn(given.email, request, () => this.invitations.take(given));
  }

  /** Chooses a new passphrase in place of one that is lost, and comes in. */
  @Public()
  @Throttle(rate('accounts'))
  @Post('renew')
  @HttpCode(204)
  async renew(@Body() given: PassphraseRenewed, @Req() request: Request): Promise<void> {
    await this.door.open(await this.invitations.renew(given), request);
  }
}
