import { keys, MORNING } from './keys.js';

const outer = { kind: 'round-frustum', bottomDiameter: 160, topDiameter: 200, height: 180 };
const core = {
  name: 'The core',
  bottom: 18,
  solid: { kind: 'round-frustum', bottomDiameter: 124, topDiameter: 160, height: 162 },
};

/** Examples of moulds, pours and casts. */
export const pieceExamples = {
  MouldInput: {
    name: 'Nested pot',
    flexibility: 'rigid',
    piece: 'pot',
    shape: { outer, cores: [core], inserts: [] },
    copies: [{ id: keys.copy, mark: 'A' }],
    version: 0,
  },
  CaptionInput: { caption: 'From above' },
  TubInput: { name: 'Yoghurt pail', inside: outer, wall: 1.5, version: 0 },
  PatternSheetInput: {
    name: 'Trough of board',
    pattern: { kind: 'box', length: 600, width: 300, height: 250, board: 12, corner: 'lapped', bottom: 'between' },
    moulds: [],
    cut: false,
    version: 0,
  },
  PourInput: {
    items: [{ mouldId: keys.mould, count: 3 }],
    mixId: keys.mix,
    grade: 5,
    spare: 0.05,
    moisture: { [keys.sand]: 0.04 },
    scoopId: keys.scoop,
    step: 0.25,
    temperature: 18,
    version: 0,
  },
  RunEventsInput: { events: [{ kind: 'begin', id: keys.event, at: MORNING, step: 'weigh' }] },
  PourFinish: {
    logs: [{ used: { [keys.cement]: 3100, [keys.sand]: 9500 }, tap: 1500, grade: 5, temperature: 17 }],
    casts: [{ id: keys.cast, item: 0 }],
    pouredAt: MORNING,
  },
  CastEventInput: { type: 'weighed', id: keys.event, at: MORNING, mass: 4125, step: 1, temperature: 18, humidity: 0.6 },
  ArticleInput: {
    id: keys.article,
    at: MORNING,
    name: 'Two-tier planter',
    arrangement: 'stacked',
    parts: [{ castId: keys.cast, over: false }, { castId: keys.upperCast, over: true }],
    bond: 'polymer mortar',
    uses: ['outdoors', 'frost'],
  },
  DemouldWaysInput: { care: 'usual', off: false },
  AsideReason: { reason: 'A bar is clamped across' },
  ScaleEventInput: { load: 412.5 },
  ScaleReadingInput: { mass: 412.5, step: 0.1, at: MORNING },
  TrialInput: { name: 'Wax or oil', kind: 'release', a: 'wax', b: 'oil', watched: 'pinholes', worse: 0.3, better: 0.1, mouldId: keys.mould, mixId: keys.mix, version: 0 },
  TrialClosing: { keep: 'a', version: 3 },
}; // prettier-ignore
