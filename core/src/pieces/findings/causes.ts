import type { Circumstance } from './circumstances.js';
import type { Fault } from '../casts/index.js';

/** A way in which a circumstance does harm: too much of it, or too little. */
interface CauseKind {
  readonly of: Circumstance;
  readonly harm: 1 | -1;
}

/** Everything on record that can be a cause. */
export const causes = {
  'much-water': { of: 'water', harm: 1 },
  'little-water': { of: 'water', harm: -1 },
  'over-ceiling': { of: 'ratio', harm: 1 },
  wetter: { of: 'grade', harm: 1 },
  stiffer: { of: 'grade', harm: -1 },
  'damp-sand': { of: 'moisture', harm: 1 },
  'old-binder': { of: 'binderAge', harm: 1 },
  'much-pigment': { of: 'pigment', harm: 1 },
  'little-pigment': { of: 'pigment', harm: -1 },
  'much-plasticiser': { of: 'plasticiser', harm: 1 },
  'hot-pour': { of: 'temperature', harm: 1 },
  'cold-pour': { of: 'temperature', harm: -1 },
  'late-placing': { of: 'placing', harm: 1 },
  'long-wait': { of: 'liftWait', harm: 1 },
  'one-lift': { of: 'oneLift', harm: 1 },
  'not-tapped': { of: 'notTapped', harm: 1 },
  'over-vibrated': { of: 'vibration', harm: 1 },
  unreinforced: { of: 'unreinforced', harm: 1 },
  'no-release': { of: 'noRelease', harm: 1 },
  'worn-mould': { of: 'cycles', harm: 1 },
  'dried-early': { of: 'evaporation', harm: 1 },
  'dried-long': { of: 'evaporationHours', harm: 1 },
  uncovered: { of: 'uncovered', harm: 1 },
  frost: { of: 'coldest', harm: -1 },
  'late-core': { of: 'corePull', harm: 1 },
  'early-core': { of: 'corePull', harm: -1 },
  'early-demould': { of: 'demouldAge', harm: -1 },
  'short-curing': { of: 'moistCuring', harm: -1 },
  'sealed-damp': { of: 'waterLeft', harm: 1 },
  'early-recoat': { of: 'recoat', harm: -1 },
  'sealed-cold': { of: 'sealedAt', harm: -1 },
} as const satisfies Readonly<Record<string, CauseKind>>;

export type Cause = keyof typeof causes;
export const causeKeys = Object.keys(causes) as Cause[];

/** The causes on record that the handbook names for each fault (section 14). */
export const namedCauses: Readonly<Record<Fault, readonly Cause[]>> = {
  pinholes: ['stiffer', 'one-lift', 'not-tapped', 'late-placing'],
  'broken-edge': ['early-demould', 'no-release', 'worn-mould'],
  crazing: ['dried-early', 'dried-long', 'uncovered', 'wetter', 'over-ceiling'],
  crack: ['late-core', 'unreinforced', 'dried-early', 'hot-pour', 'old-binder'],
  crumbly: ['little-water', 'old-binder', 'cold-pour', 'short-curing', 'much-pigment'],
  dusty: ['much-water', 'wetter', 'over-ceiling', 'frost'],
  parting: ['wetter', 'much-water', 'much-plasticiser', 'over-vibrated'],
  'bare-patch': ['wetter', 'over-vibrated'],
  streaks: ['late-placing', 'much-water', 'long-wait'],
  pale: ['little-pigment', 'much-water', 'over-ceiling'],
  bloom: ['short-curing', 'uncovered', 'over-ceiling'],
  'stuck-core': ['late-core', 'no-release'],
  bulged: ['wetter', 'early-core'],
  leak: ['worn-mould', 'wetter', 'over-vibrated'],
  sealer: ['sealed-damp', 'early-recoat', 'sealed-cold'],
  short: ['little-water', 'stiffer'],
};
