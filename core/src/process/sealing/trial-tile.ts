import { msg, type Message } from '../../foundation/units/index.js';
import type { SealerKind } from '../../mixing/materials/index.js';
import type { CoatTool } from './coats.js';

export type Sheen = 'matt' | 'satin' | 'gloss';
export type Streaks = 'none' | 'faint' | 'plain';
export type Bead = 'stands' | 'spreads' | 'soaks in';
export type Stain = 'wipes off' | 'leaves a shadow' | 'stays';

export const sheens: readonly Sheen[] = ['matt', 'satin', 'gloss'];
export const streakGrades: readonly Streaks[] = ['none', 'faint', 'plain'];
export const beads: readonly Bead[] = ['stands', 'spreads', 'soaks in'];
export const stains: readonly Stain[] = ['wipes off', 'leaves a shadow', 'stays'];

/** What a tile of the same mix showed, sealed and bare side by side. */
export interface TrialTile {
  readonly sealer: SealerKind;
  readonly product?: string;
  readonly tool: CoatTool;
  readonly coats: number;
  readonly sheen: Sheen;
  readonly streaks: Streaks;
  /** It still smelt a day later. */
  readonly smells: boolean;
  readonly bead: Bead;
  readonly stain: Stain;
  /** The caster liked the look. */
  readonly liked: boolean;
}

/** What a tile says of sealing a piece that way: whether to, and why, in sentences. */
export function readTile({ tool, streaks, smells, bead, stain, liked, coats }: TrialTile): {
  readonly good: boolean;
  readonly told: readonly Message[];
} {
  const faults = [
    ...(bead === 'soaks in' ? [msg('sealing.tileSoaked', { coats })] : []),
    ...(bead === 'spreads' ? [msg('sealing.tileSpread')] : []),
    ...(stain === 'stays' ? [msg('sealing.tileStain')] : []),
    ...(streaks === 'plain' ? [msg('sealing.tileStreaks', { tool })] : []),
    ...(smells ? [msg('sealing.tileSmell')] : []),
    ...(liked ? [] : [msg('sealing.tileLook')]),
  ];
  const good = liked && bead !== 'soaks in' && stain !== 'stays' && streaks !== 'plain';
  return { good, told: faults.length > 0 ? faults : [msg('sealing.tileGood')] };
}
