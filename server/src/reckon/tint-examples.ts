const red = { name: 'Iron oxide, red', colour: '#7a2418', strength: 52, chips: 3, price: 0.0085 };
const yellow = { name: 'Iron oxide, yellow', colour: '#b07a1e', price: 0.0085 };
const black = { name: 'Carbon black', colour: '#1d1d1f', levelling: 2, price: 0.014 };
const tint = {
  base: '#dcd7cc',
  doses: [
    { pigment: red, dose: 1.2 },
    { pigment: yellow, dose: 0.4 },
  ],
};

/** An example of each tint question, shown in the API's document and answered by its tests. */
export const tintExamples = {
  colour: { ...tint, looks: ['dry', 'wet', 'film'] },
  search: { base: '#dcd7cc', wanted: '#a5715a', pigments: [red, yellow, black] },
  strength: {
    pigment: red,
    chips: [
      { base: '#dcd7cc', dose: 1, measured: '#a8684f' },
      { base: '#dcd7cc', dose: 3, measured: '#8d4a37' },
    ],
  },
  weighing: { ...tint, binder: 1200, step: 0.1 },
  difference: { one: '#a8684f', other: '#a56a52' },
  ladder: { pigment: 'Iron oxide, red', binderPerLitre: 600 },
};
