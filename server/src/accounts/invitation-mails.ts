import { msg } from '@dewpot/core/units';
import type { NewInvitation } from '@dewpot/contract';
import type { Speaker } from '@dewpot/locales';
import type { Request } from 'express';
import type { Mail } from '../mail/index.js';

/** The link of an invitation, at the address by which its maker reached the server. */
const linkOf = ({ token }: NewInvitation, { headers, protocol }: Request) =>
  `${headers.origin ?? `${protocol}://${headers.host ?? ''}`}/invited#${token}`;

/** What somebody who is invited is mailed; or who is to have a new passphrase, where `person` names them. */
export function invitationMail(made: NewInvitation, { workshop, person }: { readonly workshop: string; readonly person?: string }, say: Speaker, request: Request): Omit<Mail, 'to'> {
  const { role, invitedBy, expiresAt } = made;
  const until = { at: expiresAt, as: 'day' } as const;
  const link = linkOf(made, request);
  return person === undefined
    ? {
        subject: say(msg('server.mailInvited', { invitedBy, workshop })),
        text: say(msg('server.mailInvitedText', { invitedBy, workshop, role, until, link })),
      }
    : {
        subject: say(msg('server.mailRenewal', { workshop })),
        text: say(msg('server.mailRenewalText', { person, invitedBy, workshop, until, link })),
      };
} // prettier-ignore
