import { randomInt } from 'node:crypto';

/** Digits and letters that are not taken for one another. */
const LETTERS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
const GROUPS = 4;
const IN_GROUP = 4;

const newGroup = () => Array.from({ length: IN_GROUP }, () => LETTERS[randomInt(LETTERS.length)]).join('');

/** A new code of 80 bits, in groups to be written down. */
export const newRecoveryCode = (): string => Array.from({ length: GROUPS }, newGroup).join('-');

/** A code as it is kept: however it was typed, and with letters that are read as digits put right. */
export const plainRecoveryCode = (typed: string): string =>
  typed
    .toUpperCase()
    .replace(/O/g, '0')
    .replace(/[IL]/g, '1')
    .replace(/[^0-9A-Z]/g, '');
