import type { InvitationView, PersonView } from '@dewpot/contract';
import type { InvitationEntity, PersonEntity } from './accounts.entities.js';

export const personView = ({ id, name, email, role }: PersonEntity): PersonView => ({ id, name, email, role });

export const invitationView = ({ id, role, invitedBy, expiresAt }: InvitationEntity): InvitationView => ({
  ...{ id, role, invitedBy },
  expiresAt: expiresAt.getTime(),
});
