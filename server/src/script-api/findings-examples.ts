const crazed = { mould: 'hexagon', mix: 'grey', piece: 'pot', faults: ['crazing'], under: [{ of: 'evaporation', value: 0.61, most: 0.5 }, { of: 'uncovered', value: 1 }] }; // prettier-ignore
const good = (value: number) => ({
  ...crazed,
  faults: [],
  under: [
    { of: 'evaporation', value, most: 0.5 },
    { of: 'uncovered', value: 0 },
  ],
});

/** An example of each question about what casts show, shown in the API's document and answered by its tests. */
export const findingsExamples = {
  shares: { a: { good: 9, casts: 10 }, b: { good: 14, casts: 14 } },
  means: { a: [1.02, 1.01, 1.03, 1.02, 1.0], b: [0.98, 0.99, 0.97, 0.99, 0.98] },
  trial: { worse: 0.6, better: 0.9, soFar: { a: { good: 6, casts: 10 }, b: { good: 9, casts: 10 } } },
  deal: { copies: 7, seed: 5 },
  chart: { values: [1, 1.02, 0.98, 1.01, 0.99, 1, 1.02, 0.98, 1.01, 1.3] },
  why: { fault: 'crazing', cast: crazed, others: [0.1, 0.14, 0.2, 0.22, 0.3, 0.12].map(good) },
};
