import type { Fault } from '../casts/index.js';

/** When a fault can have come about: what stands under it later cannot have caused it. In the order of the work. */
export const phases = ['pour', 'mould', 'curing', 'sealing'] as const;
export type Phase = (typeof phases)[number];

/** Up to which part of the work a fault can have been caused. */
export const causedBy: Readonly<Record<Fault, Phase>> = {
  pinholes: 'mould',
  'broken-edge': 'mould',
  crazing: 'curing',
  crack: 'curing',
  crumbly: 'curing',
  dusty: 'curing',
  parting: 'mould',
  'bare-patch': 'mould',
  streaks: 'curing',
  pale: 'curing',
  bloom: 'sealing',
  'stuck-core': 'mould',
  bulged: 'mould',
  leak: 'mould',
  sealer: 'sealing',
  short: 'pour',
};
