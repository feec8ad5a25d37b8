import { msg } from '@dewpot/core/units';
import { roles } from '@dewpot/contract';

/** The roles, the one that may the least first. */
export const roleOptions = roles.map((role) => ({ value: role, label: msg('workshop.role', { role }) }));
