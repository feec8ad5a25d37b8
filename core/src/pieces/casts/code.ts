/** Short code of a cast, to write on it with a pencil: the pour's number and a letter for the piece (23a … 23z, 23aa …). */
export function castCode(pourNumber: number, index: number): string {
  let letters = '';
  for (let n = index; n >= 0; n = Math.floor(n / 26) - 1) letters = String.fromCharCode(97 + (n % 26)) + letters;
  return `${pourNumber}${letters}`;
}

/** The code of a cast whose pour is given a number that is so much higher. */
export const recoded = (code: string, shift: number): string =>
  code.replace(/^\d+/, (pour) => String(Number(pour) + shift));

/** Codes as people count: 9b before 10a. */
export const inOrder = new Intl.Collator('en', { numeric: true });
