import type { InvitationView, PersonView } from '@dewpot/contract';
import type { InvitationEntity, PersonEntity } from './accounts.entities.js';

export const personView = ({ id, name, email, role }: PersonEntity): PersonView => ({ id, name, email, role });

export const invitationView = ({
  id,
  personId,
  role,
  invitedBy,
  expiresAt,
}: Pick<InvitationEntity, keyof InvitationView>): InvitationView => ({
  ...{ id, role, invitedBy },
  ...(personId !== null && { personId }),
  expiresAt: expiresAt.getTime(),
});
