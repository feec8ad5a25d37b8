import { defined } from '../../foundation/math/index.js';
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

/** What a tile says of sealing a piece that way: whether to, and why, in a sentence. */
export function readTile({ tool, streaks, smells, bead, stain, liked, coats }: TrialTile): {
  readonly good: boolean;
  readonly told: string;
} {
  const faults = [
    ...(bead === 'soaks in' ? [`water soaked in after ${coats === 1 ? 'one coat' : `${coats} coats`}: one more`] : []),
    ...(bead === 'spreads' ? ['water spread on it: another coat, or a denser finish'] : []),
    ...(stain === 'stays' ? ['the stain stayed'] : []),
    ...(streaks === 'plain'
      ? [`streaks of the ${tool}: try ${tool === 'brush' ? 'a cloth or a spray' : 'another tool'}`]
      : []),
    ...(smells ? ['it still smelt the next day: not for food or a small room'] : []),
    ...(liked ? [] : ['you did not like the look']),
  ];
  const good = liked && bead !== 'soaks in' && stain !== 'stays' && streaks !== 'plain';
  const said = faults.length > 0 ? faults.join('; ') : 'it held off water and stains, without streaks';
  return { good, told: `${defined(said[0]).toUpperCase()}${said.slice(1)}.` };
}
