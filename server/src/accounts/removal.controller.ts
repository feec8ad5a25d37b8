import { Body, Controller, Delete, HttpCode, Post } from '@nestjs/common';
import { WorkshopName } from '@dewpot/contract';
import { clock } from '../clock.js';
import { CurrentUser, EvenRemoved, ForRole, InPerson } from '../http/request.js';
import { RemovalService } from './removal.service.js';

/** Deleting the workshop, which its owners can undo for a while. */
@ForRole('owner')
@InPerson()
@EvenRemoved()
@Controller('api/workshop/removal')
export class RemovalController {
  constructor(private readonly removal: RemovalService) {}

  /** Deletes it. Its name is asked for, so that nobody does so by mistake. */
  @Post()
  @HttpCode(204)
  remove(@Body() { workshop }: WorkshopName, @CurrentUser() { sessionId }: CurrentUser): Promise<void> {
    return this.removal.remove(workshop, sessionId, clock.now());
  }

  /** Brings it back. */
  @Delete()
  @HttpCode(204)
  recall(): Promise<void> {
    return this.removal.recall();
  }
}
