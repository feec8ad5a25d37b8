import { DAY } from '@dewpot/core/units';
const JUNE = 1_781_740_800_000;

/** An example of each question about the first days, shown in the API's document and answered by its tests. */
export const curingExamples = {
  maturity: {
    readings: [
      { hour: 0, temperature: 20 },
      { hour: 12, temperature: 12 },
      { hour: 48, temperature: 18 },
    ],
    hours: 48,
    binderClass: 'portland',
    datum: -10,
  },
  demould: {
    binderClass: 'portland',
    piece: 'pot',
    records: [
      { age: 24.6, came: 'clean' },
      { age: 22.9, came: 'clean' },
      { age: 19.5, came: 'too-early' },
      { age: 30, came: 'otherwise' },
    ],
    care: 'usual',
  },
  windows: {
    readings: [{ hour: 0, temperature: 15 }],
    binderClass: 'portland',
    piece: 'pot',
    shape: {
      outer: { kind: 'round-frustum', bottomDiameter: 160, topDiameter: 200, height: 180 },
      cores: [],
      inserts: [
        {
          name: 'The drain plug',
          bottom: 0,
          solid: { kind: 'round-frustum', bottomDiameter: 19, topDiameter: 19, height: 18 },
        },
      ],
    },
    release: 'plant oil',
  },
  weather: {
    readings: [
      { hour: 0, temperature: 6 },
      { hour: 10, temperature: -2 },
      { hour: 24, temperature: 4 },
    ],
    binderClass: 'portland',
    now: 6,
    strength: 30,
  },
  evaporation: { concrete: 25, ambient: 25, humidity: 0.5, wind: 10 },
  covers: { concrete: 32, ambient: 30, humidity: 0.35, wind: 20, lightweight: true },
  misting: {
    concrete: 22,
    ambient: 22,
    humidity: 0.6,
    wind: 5,
    lightweight: true,
    cover: 'shade',
    waking: { from: 7, to: 22 },
  },
  surface: {
    stretches: [
      { from: 0, to: 24, evaporation: 0.1 },
      { from: 24, to: 48, evaporation: 0.2 },
    ],
    wettings: [0, 12, 24],
    lightweight: false,
  },
  'moist-curing-end': { binderClass: 'portland', by: 'share', share: 0.7, longer: false },
  leaching: {
    readings: [
      { at: JUNE, ph: 11.8 },
      { at: JUNE + 2 * DAY, ph: 10.4 },
    ],
    soaks: 2,
  },
  postponement: { task: 'demould', early: JUNE, good: JUNE + 4 * 3_600_000, late: JUNE + DAY, until: JUNE + 2 * DAY },
};

/** An example of each question about the air. */
export const ambientExamples = {
  series: {
    readings: [
      { at: JUNE, temperature: 18.2, humidity: 0.61 },
      { at: JUNE + 600_000, temperature: 127 },
      { at: JUNE + DAY, temperature: 17.4, humidity: 0.66 },
    ],
    now: JUNE + 2 * DAY,
  },
  file: {
    text: 'Date;Temperature °C;Humidity %\n18.06.2026 14:00;21,5;62\n18.06.2026 14:10;21,7;61',
    zone: 'Europe/Berlin',
    order: 'day-first',
  },
  following: {
    place: [{ at: JUNE, temperature: 17, humidity: 0.6 }],
    outdoors: [{ at: JUNE, temperature: 15, humidity: 0.7 }],
    kind: 'shed',
    ahead: [{ at: JUNE + DAY, temperature: 19, humidity: 0.55, wind: 12 }],
  },
};
