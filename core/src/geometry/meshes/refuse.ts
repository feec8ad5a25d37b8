import { InputError, type Message } from '../../foundation/units/index.js';

/** A refusal of a file: what is wrong with it and what to do. */
export const refuse = (message: Message, remedy: Message, field = 'file'): InputError =>
  new InputError([{ field, value: null, message, remedy }]);
