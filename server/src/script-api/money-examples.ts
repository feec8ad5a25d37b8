const cement = { mass: 900, lots: [{ bought: 25_000, left: 12_000, price: 9.5, boughtAt: 1_750_000_000_000 }] };
const sand = { mass: 2700, lots: [{ bought: 50_000, left: 30_000, price: 12, boughtAt: 1_750_000_000_000 }] };

/** An example of each question about money, shown in the API's document and answered by its tests. */
export const moneyExamples = {
  piece: {
    materials: [cement, sand],
    release: 0.1,
    mould: { price: 30, lasts: 100, wornOut: 0, cycles: 40 },
    minutes: 12,
    laterMinutes: 6,
    sealer: 0.8,
    packing: 0.9,
    rate: 15,
    good: 18,
    casts: 20,
    margin: 0.4,
  },
  sending: {
    mass: 2000,
    bands: [
      { upTo: 2000, price: 4.5 },
      { upTo: 5000, price: 7.6 },
    ],
  },
  copy: { price: 40, sessions: 3, worth: 20 },
};
