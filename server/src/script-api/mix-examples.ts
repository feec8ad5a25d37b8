const garden = {
  lines: [
    { material: 'grey-cement', parts: 1 },
    { material: 'sharp-sand', parts: 2.5 },
  ],
  by: 'volume',
  grade: 5,
  exposure: 'outdoors',
};
const tufa = {
  lines: [
    { material: 'grey-cement', parts: 1 },
    { material: 'perlite', parts: 1 },
    { material: 'peat', parts: 1 },
  ],
  doses: [
    { material: 'red-oxide', amount: 0.03 },
    { material: 'pp-fibre', amount: 0.9 },
  ],
  by: 'volume',
  grade: 3,
  exposure: 'outdoors',
  packed: true,
};

/** An example of each mix question, shown in the API's document and answered by its tests. */
export const mixExamples = {
  mix: tufa,
  doses: { mix: tufa, volume: 5000, scaleStep: 1 },
  water: { mix: garden, volume: 5000, moisture: { 'sharp-sand': 0.05 }, order: 'water-to-powder' },
  measures: {
    mix: garden,
    volume: 5000,
    scoops: [1700, 400, 230],
    step: 0.5,
    scaleStep: 1,
    spare: 0.05,
    moisture: { 'sharp-sand': 0.05 },
  },
  'too-wet': { mix: garden, volume: 5000, really: 2000 },
  size: { mix: garden, to: 'mass', size: 25000, material: 'grey-cement' },
  hold: { mix: garden, line: 1, parts: 3, hold: 'strength' },
  lighten: { mix: { ...garden, grade: 4 }, share: 0.3, light: 'perlite' },
  compare: {
    mixes: [
      { name: 'Garden grey', mix: garden, binderClass: 'portland' },
      { name: 'Tufa', mix: tufa, binderClass: 'portland' },
    ],
    temperature: 18,
    volume: 2000,
  },
  method: { mix: tufa, binderClass: 'portland', colour: 'water' },
  times: { mix: { ...garden, times: { potLife: 45 } }, binderClass: 'portland', temperature: 25 },
  parts: { mix: garden, to: 'mass' },
  cost: {
    mix: {
      ...garden,
      ratio: 0.55,
      materials: [{ key: 'river-sand', like: 'sharp-sand', bulk: 1.58 }],
      lines: [
        { material: 'grey-cement', parts: 1 },
        { material: 'river-sand', parts: 2.5 },
      ],
    },
    volume: 5000,
    lots: [
      { material: 'grey-cement', bought: 25000, left: 14000, price: 7.9 },
      { material: 'river-sand', bought: 40000, left: 30000, price: 4.2 },
    ],
  },
  spread: { puddle: 160, cup: 80 },
  bulk: { mass: 640, scoops: 1, scoop: 400 },
  moisture: { damp: 525, dry: 500 },
  learned: { batches: [{ mix: garden, volume: 5000, water: 1900, grade: 5 }] },
  shopping: {
    wanted: [{ material: 'grey-cement', mass: 31000 }],
    lots: [{ material: 'grey-cement', bought: 25000, left: 4000, price: 7.9 }],
  },
};
