import { msg } from '@dewpot/core/units';
import { Injectable } from '@nestjs/common';
import type { NewInvitation } from '@dewpot/contract';
import { originOf } from '../http/origin.js';
import type { AppRequest } from '../http/request.js';
import { speakerOf } from '../http/speaker.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { OutboxService } from '../mail/index.js';

/** Whom an invitation is mailed to; `person` names whoever is to have a new passphrase. */
interface Recipient {
  readonly to: string;
  readonly person?: string;
}

/** Mails of invitations, in the language of whoever makes them. */
@Injectable()
export class InvitationMailsService {
  constructor(
    private readonly outbox: OutboxService,
    private readonly rows: WorkshopContext,
  ) {}

  /** Writes the mail of an invitation; answers the invitation with how far its mail is. */
  async post(made: NewInvitation, { to, person }: Recipient, request: AppRequest): Promise<NewInvitation> {
    const say = speakerOf(request);
    const { name: workshop } = (await this.rows.workshop()).settings;
    const { role, invitedBy, expiresAt } = made;
    const told = {
      workshop,
      invitedBy,
      until: { at: expiresAt, as: 'day' },
      link: `${originOf(request)}/invited#${made.token}`,
    } as const;
    const mail =
      person === undefined
        ? {
            subject: say(msg('server.mailInvited', { invitedBy, workshop })),
            text: say(msg('server.mailInvitedText', { ...told, role })),
          }
        : {
            subject: say(msg('server.mailRenewal', { workshop })),
            text: say(msg('server.mailRenewalText', { ...told, person })),
          };
    return { ...made, mail: await this.outbox.post({ to, ...mail }) };
  }
}
