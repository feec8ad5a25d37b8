/** An example of each question about the first days, shown in the API's document and answered by its tests. */
export const cureExamples = {
  'lift-out': {
    setting: 'portland',
    piece: 'pot',
    records: [
      { age: 24.6, came: 'clean' },
      { age: 22.9, came: 'clean' },
      { age: 19.5, came: 'too-early' },
      { age: 30, came: 'otherwise' },
    ],
    care: 'usual',
  },
};
