import { Body, Controller, Get, HttpCode, Post, Put, Req } from '@nestjs/common';
import { InvitationToken, WorkshopChoice, WorkshopName, type OwnWorkshopView } from '@dewpot/contract';
import { Throttle } from '@nestjs/throttler';
import { rate } from '../http/rate.js';
import { CurrentUser, EvenRemoved, ForRole, InPerson, OwnTransactions, type AppRequest } from '../http/request.js';
import { speakerIn } from '../http/speaker.js';
import { OwnWorkshopsService } from './own-workshops.service.js';

/** The workshops that one is in. The browser's session is of one of them at a time. */
@ForRole('guest')
@InPerson()
@OwnTransactions()
@EvenRemoved()
@Controller('api/session')
export class OwnWorkshopsController {
  constructor(private readonly own: OwnWorkshopsService) {}

  @Get('workshops')
  all(@CurrentUser() visitor: CurrentUser): Promise<OwnWorkshopView[]> {
    return this.own.all(visitor);
  }

  /** Goes to another one. */
  @Put('workshop')
  @HttpCode(204)
  goTo(
    @CurrentUser() visitor: CurrentUser,
    @Body() { workshopId }: WorkshopChoice,
    @Req() request: AppRequest,
  ): Promise<void> {
    return this.own.goTo(visitor, workshopId, request);
  }

  /** Founds another one, and goes there. */
  @Post('workshops')
  @Throttle(rate('accounts'))
  @HttpCode(204)
  found(
    @CurrentUser() visitor: CurrentUser,
    @Body() { workshop }: WorkshopName,
    @Req() request: AppRequest,
  ): Promise<void> {
    return this.own.found(visitor, workshop, speakerIn(undefined, request), request);
  }

  /** Takes up an invitation to another one, and goes there. */
  @Post('join')
  @Throttle(rate('accounts'))
  @HttpCode(204)
  join(
    @CurrentUser() visitor: CurrentUser,
    @Body() { token }: InvitationToken,
    @Req() request: AppRequest,
  ): Promise<void> {
    return this.own.join(visitor, token, request);
  }
}
