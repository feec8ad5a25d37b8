import { Module } from '@nestjs/common';
import { SealingModule } from '../sealing/index.js';
import { AccountsController } from './accounts.controller.js';
import { DoorService } from './door.service.js';
import { InvitationsController } from './invitations.controller.js';
import { InvitationsService } from './invitations.service.js';
import { OwnAccountController } from './own-account.controller.js';
import { PeopleController } from './people.controller.js';
import { Passphrases } from './passphrases.js';
import { People } from './people.service.js';
import { SignInTries } from './sign-in-tries.js';
import { WorkshopsService } from './workshops.service.js';

/** People, their workshops, sessions and tokens. */
@Module({
  imports: [SealingModule],
  controllers: [AccountsController, InvitationsController, OwnAccountController, PeopleController],
  providers: [DoorService, InvitationsService, Passphrases, People, SignInTries, WorkshopsService],
  exports: [People, WorkshopsService],
})
export class AccountsModule {}
