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
  base: {
    parts: [
      { material: 'white-cement', mass: 1150 },
      { material: 'fine-sand', mass: 3000 },
    ],
  },
  chip: { binder: 'white-cement', sand: 'fine-sand', doses: [{ material: 'chromium-green', amount: 0.02 }] },
  layers: {
    shape: {
      outer: { kind: 'polygon-frustum', sides: 6, bottomAcross: 180, topAcross: 210, height: 150 },
      cores: [],
      inserts: [],
    },
    shares: [0.3, 0.25, 0.2, 0.15, 0.1],
    by: 'height',
    edge: 'crisp',
    binderClass: 'portland',
    temperature: 18,
  },
  terrazzo: { share: 0.2, size: 8, face: 'smooth' },
  stock: { mass: 0.3, step: 0.1 },
  bottle: { before: 250, after: 246.5, solids: 0.45 },
  matching: {
    before: { lots: { 'Iron oxide, red': 'A' }, ratio: 0.5, sand: 'Fine sand', rounding: 0.3, cure: 'film' },
    now: { lots: { 'Iron oxide, red': 'B' }, ratio: 0.54, sand: 'Fine sand', rounding: 1.4, cure: 'film' },
  },
  marbling: { shares: [0.7, 0.3], seed: 7, width: 24, height: 8 },
};
