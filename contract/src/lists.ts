import { pieceKinds, type PieceKind } from '@dewpot/core/moulds';
import { materialKinds, type MaterialKind } from '@dewpot/core/materials';
import { stages, type Stage } from '@dewpot/core/casts';
import { IsIn, IsOptional, IsUUID } from 'class-validator';
import { Numeric } from './numeric.js';
import { Millilitres, Millimetres, Text, Whole } from './limits.js';
import { MOST_ON_PAGE } from './page.js';
import { pourStatuses, type PourStatus } from './pours.js';

/** Which page of a list is asked for, and what its rows have in common. */
export class PageQuery {
  /** Words that a row has somewhere in its names, each of them. */
  @IsOptional() @Text(0, 80) q?: string;
  /** As a page tells it: the rows that come after it, or those that come before it. */
  @IsOptional() @Text(1, 600) after?: string;
  @IsOptional() @Text(1, 600) before?: string;
  @IsOptional() @Numeric() @Whole(1, MOST_ON_PAGE) size?: number;
}

export const castOrders = ['newest', 'oldest', 'piece', 'mix'] as const;
export type CastOrder = (typeof castOrders)[number];

/** Which casts are listed. */
export class CastsQuery extends PageQuery {
  @IsOptional() @IsIn(castOrders) order?: CastOrder;
  @IsOptional() @IsIn(stages) stage?: Stage;
  /** Those that were damaged, or those that were not. */
  @IsOptional() @IsIn(['yes', 'no']) damaged?: 'yes' | 'no';
  @IsOptional() @IsUUID() mould?: string;
  @IsOptional() @IsUUID() pour?: string;
}

export const pourOrders = ['newest', 'oldest'] as const;
export type PourOrder = (typeof pourOrders)[number];

/** Which pours are listed. */
export class PoursQuery extends PageQuery {
  @IsOptional() @IsIn(pourOrders) order?: PourOrder;
  @IsOptional() @IsIn(pourStatuses) status?: PourStatus;
}

/** A pour as a list of pours tells of it. */
export interface PourRow {
  readonly id: string;
  readonly number: number;
  readonly status: PourStatus;
  readonly pieces: readonly {
    readonly mouldId: string;
    readonly name: string;
    readonly count: number;
    /** #rrggbb */
    readonly colour: string;
  }[];
  /** Names of its mixes, its own first. */
  readonly mixes: readonly string[];
  /** ms */
  readonly pouredAt?: number;
}

export const mouldOrders = ['name', 'volume', 'height', 'cycles'] as const;
export type MouldOrder = (typeof mouldOrders)[number];

/** Which moulds are listed. */
export class MouldsQuery extends PageQuery {
  @IsOptional() @IsIn(mouldOrders) order?: MouldOrder;
  @IsOptional() @IsIn(pieceKinds) piece?: PieceKind;
  /** What it holds at least and at most, mL. */
  @IsOptional() @Numeric() @Millilitres() least?: number;
  @IsOptional() @Numeric() @Millilitres() most?: number;
  /** The largest size of its piece in any direction, mm. */
  @IsOptional() @Numeric() @Millimetres() reach?: number;
}

export const recipeOrders = ['name', 'changed'] as const;
export type RecipeOrder = (typeof recipeOrders)[number];

/** Which mixes or tints are listed. */
export class RecipesQuery extends PageQuery {
  @IsOptional() @IsIn(recipeOrders) order?: RecipeOrder;
  /** A material that they have in them. */
  @IsOptional() @IsUUID() material?: string;
}

export const materialOrders = ['name', 'kind'] as const;
export type MaterialOrder = (typeof materialOrders)[number];

/** Which materials are listed. */
export class MaterialsQuery extends PageQuery {
  @IsOptional() @IsIn(materialOrders) order?: MaterialOrder;
  @IsOptional() @IsIn(materialKinds) kind?: MaterialKind;
}
