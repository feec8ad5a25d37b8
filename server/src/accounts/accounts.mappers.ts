import type { PersonView } from '@dewpot/contract';
import type { PersonEntity } from './accounts.entities.js';

export const personView = ({ id, name, email, owner }: PersonEntity): PersonView => ({ id, name, email, owner });
