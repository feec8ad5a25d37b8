import { InputError } from '../../foundation/units/index.js';

/** A refusal of a file: what is wrong with it and what to do. */
export const refuse = (message: string, remedy: string, field = 'file'): InputError =>
  new InputError([{ field, value: null, message, remedy }]);
