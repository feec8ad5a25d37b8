import { sealerKinds, type SealerKind } from '@dewpot/core/materials';
import {
  beads,
  coatTools,
  sheens,
  stains,
  streakGrades,
  type Bead,
  type CoatTool,
  type LearnedEase,
  type OverrideSeen,
  type Sheen,
  type Stain,
  type Streaks,
  type TrialTile,
} from '@dewpot/core/sealing';
import {
  arrangements,
  bondsInOrder,
  jointUses,
  type Arrangement,
  type Bond,
  type JointUse,
} from '@dewpot/core/assembly';
import { IsBoolean, IsIn, IsOptional, IsUUID } from 'class-validator';
import { Choices, ListOf, Text, Time, Whole } from './limits.js';

/** A cast as it stands in an article that is joined. */
export class JoinedPartInput {
  @IsUUID() castId: string;
  /** Upside down from how it lay in its mould. */
  @IsBoolean() over: boolean;
}

/** Casts joined into one thing: stacked from the ground up, panels in the order round. */
export class ArticleInput {
  @IsUUID() id: string;
  /** When they were joined, ms. */
  @Time() at: number;
  @Text(1, 80) name: string;
  @IsIn(arrangements) arrangement: Arrangement;
  @ListOf(() => JoinedPartInput, { least: 2, most: 12 })
  parts: readonly JoinedPartInput[];
  @IsIn(bondsInOrder) bond: Bond;
  @Choices(jointUses, { most: 6 }) uses: readonly JointUse[];
  @IsOptional() @Text(1, 300) note?: string;
}

/** What a trial tile of a mix showed, sealed and bare side by side. */
export class TileInput implements TrialTile {
  @IsUUID() mixId: string;
  /** ms */
  @Time() at: number;
  @IsIn(sealerKinds) sealer: SealerKind;
  @IsOptional() @Text(1, 80) product?: string;
  @IsIn(coatTools) tool: CoatTool;
  @Whole(1, 10) coats: number;
  @IsIn(sheens) sheen: Sheen;
  @IsIn(streakGrades) streaks: Streaks;
  @IsBoolean() smells: boolean;
  @IsIn(beads) bead: Bead;
  @IsIn(stains) stain: Stain;
  @IsBoolean() liked: boolean;
  @IsOptional() @Text(0, 300) note?: string;
}

export interface TileView extends TileInput {
  readonly id: string;
}

/** What a workshop's overrides taught. */
export interface OverridesView {
  readonly seen: readonly OverrideSeen[];
  readonly open: LearnedEase;
  readonly film: LearnedEase;
}
