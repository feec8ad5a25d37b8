import { Module } from '@nestjs/common';
import { MailModule } from '../mail/index.js';
import { SealingModule } from '../sealing/index.js';
import { AccountsController } from './accounts.controller.js';
import { DoorService } from './door.service.js';
import { InvitationsController } from './invitations.controller.js';
import { InvitationMailsService } from './invitation-mails.service.js';
import { InvitationsService } from './invitations.service.js';
import { OwnAccountController } from './own-account.controller.js';
import { OwnWorkshopsController } from './own-workshops.controller.js';
import { OwnWorkshopsService } from './own-workshops.service.js';
import { PeopleController } from './people.controller.js';
import { PasskeysController } from './passkeys.controller.js';
import { PasskeysService } from './passkeys.service.js';
import { Passphrases } from './passphrases.js';
import { People } from './people.service.js';
import { RecoveryService } from './recovery.service.js';
import { RemovalController } from './removal.controller.js';
import { RemovalService } from './removal.service.js';
import { SignInTries } from './sign-in-tries.js';
import { WorkshopsService } from './workshops.service.js';

/** People, their workshops, sessions and tokens. */
@Module({
  imports: [MailModule, SealingModule],
  controllers: [
    AccountsController,
    InvitationsController,
    OwnAccountController,
    OwnWorkshopsController,
    PasskeysController,
    PeopleController,
    RemovalController,
  ],
  providers: [
    DoorService,
    InvitationMailsService,
    InvitationsService,
    OwnWorkshopsService,
    PasskeysService,
    Passphrases,
    People,
    RecoveryService,
    RemovalService,
    SignInTries,
    WorkshopsService,
  ],
  exports: [People, WorkshopsService],
})
export class AccountsModule {}
