const pot = {
  outer: { kind: 'round-frustum', bottomDiameter: 160, topDiameter: 200, height: 180 },
  cores: [
    {
      name: 'The core',
      bottom: 18,
      solid: { kind: 'round-frustum', bottomDiameter: 124, topDiameter: 160, height: 162 },
    },
  ],
  inserts: [
    {
      name: 'The drain plug',
      bottom: 0,
      solid: { kind: 'round-frustum', bottomDiameter: 19, topDiameter: 19, height: 18 },
    },
  ],
};
const round = {
  outer: { kind: 'round-frustum', bottomDiameter: 300, topDiameter: 300, height: 45 },
  cores: [],
  inserts: [],
};
const items = [
  { name: 'Nested pot', shape: pot, piece: 'pot', count: 3 },
  { name: 'Stepping round', shape: round, piece: 'slab', count: 2 },
];
const sheet = {
  items,
  mix: {
    lines: [
      { material: 'grey-cement', parts: 1 },
      { material: 'sharp-sand', parts: 2.5 },
    ],
    by: 'volume',
    grade: 5,
    exposure: 'outdoors',
  },
  scoop: 400,
  step: 0.25,
  spare: 0.05,
  bucket: 14000,
  temperature: 18,
};
const at = 1_700_000_000_000;

/** An example of each question about a pour, shown in the API's document and answered by its tests. */
export const pourExamples = {
  sheet,
  hour: { ...sheet, start: at, release: 'wax', finish: 'broom', people: 1 },
  run: {
    ...sheet,
    events: [
      { id: '018bcfe5-6800-7000-8000-000000000001', at, kind: 'done', step: '0.0.mix' },
      { id: '018bcfe5-6800-7000-8000-000000000002', at, kind: 'water', bucket: '0.0', mass: 1500 },
      { id: '018bcfe5-6800-7000-8000-000000000003', at, kind: 'skip', mould: '0.0.2' },
    ],
  },
  batches: { volumes: [2000, 2000, 2000, 3200, 3200], bucket: 14000, potLife: 60, mixing: 6, filling: 3 },
  leftover: {
    leftover: 520,
    moulds: [
      { id: 'wedge', name: 'Bookend wedge', volume: 480 },
      { id: 'foot', name: 'Lamp foot', volume: 900 },
    ],
    feet: [{ name: 'Nested pot', shape: pot, piece: 'pot' }],
  },
  free: {
    name: 'Nested pot',
    copies: [
      { mark: 'A', retired: false, leaks: false },
      { mark: 'B', retired: false, leaks: true },
    ],
    full: [at],
    count: 2,
  },
  cut: { items: items.map((item) => ({ ...item, mesh: item.piece === 'slab' })) },
  inset: {
    shape: round,
    piece: 'slab',
    inset: {
      name: 'An L',
      face: 'mould',
      thickness: 4,
      x: 20,
      loops: [
        [
          [-20, -30],
          [20, -30],
          [20, -18],
          [-8, -18],
          [-8, 30],
          [-20, 30],
        ],
      ],
    },
  },
  spots: {
    full: [{ name: '12a, Trough', place: 'the yard', mass: 46000, freeAt: at }],
    liftLimit: 25000,
    place: 'The yard',
  },
};
