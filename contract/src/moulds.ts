import {
  mouldFlexibilities,
  mouldMaterials,
  pieceKinds,
  releases,
  type MouldFlexibility,
  type MouldMaterial,
  type MouldShape,
  type PieceKind,
  type ReleaseName,
} from '@dewpot/core/moulds';
import type { Solid } from '@dewpot/core/solids';
import { IsBoolean, IsIn, IsOptional, IsUUID } from 'class-validator';
import { Amount, ListOf, Part, Text, Time, Version } from './limits.js';
import { PartOfKind } from './kinds.js';
import { MouldShapeInput, solids, type SolidGiven } from './solids.js';

export const copyConditions = ['good', 'worn', 'leaks'] as const;
export type CopyCondition = (typeof copyConditions)[number];

export class CopyInput {
  @IsUUID() id: string;
  /** What is written on it: A, B, C. */
  @Text(1, 20) mark: string;
  @IsOptional() @IsIn(copyConditions) condition?: CopyCondition;
  /** Where it leaks, what was glued: in the caster's words. */
  @IsOptional() @Text(0, 500) note?: string;
  @IsOptional() @IsBoolean() retired?: boolean;
  /** When it was last washed, ms. */
  @IsOptional() @Time() washedAt?: number;
}

export class MouldInput {
  @Text(1, 80) name: string;
  @IsIn(mouldFlexibilities) flexibility: MouldFlexibility;
  @IsIn(pieceKinds) piece: PieceKind;
  @Part(() => MouldShapeInput) shape: MouldShapeInput;
  @ListOf(() => CopyInput, { most: 200 }) copies: readonly CopyInput[];
  @IsOptional() @IsIn(Object.keys(mouldMaterials)) material?: MouldMaterial;
  /** What the caster puts on it rather than the handbook's default. */
  @IsOptional() @IsIn(Object.keys(releases)) release?: ReleaseName;
  @IsOptional() @IsBoolean() sleeve?: boolean;
  /** Used once, or rebuilt each time: it has no copies, and this must be made again. */
  @IsOptional() @IsBoolean() once?: boolean;
  @IsOptional() @Text(0, 300) remake?: string;
  @IsOptional() @Text(0, 4000) notes?: string;
  /** Of the empty cores together, g. */
  @IsOptional() @Amount(0, 200000) coreMass?: number;
  /** Opening of the mesh laid in, mm. */
  @IsOptional() @Amount(0.5, 500) meshOpening?: number;
  /** Version that was edited; 0 for a new one. */
  @Version() version: number;
}

export interface CopyView {
  readonly id: string;
  readonly mark: string;
  /** Times it was filled. */
  readonly cycles: number;
  readonly condition: CopyCondition;
  readonly note: string;
  readonly retired: boolean;
  /** #rrggbb that it was last filled with. */
  readonly lastColour?: string;
  readonly washedAt?: number;
}

/** What is kept of a mould beside its name and its copies. */
export interface MouldBody extends Omit<MouldInput, 'name' | 'shape' | 'copies' | 'version'> {
  readonly shape: MouldShape;
}

/** A picture of a mould, without its bytes. */
export interface PictureView {
  readonly id: string;
  readonly caption: string;
  readonly width: number;
  readonly height: number;
}

export interface MouldView extends MouldBody {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly copies: readonly CopyView[];
  readonly pictures: readonly PictureView[];
  /** Times it was filled, whichever copy; of one that is made again, times it was made. */
  readonly cycles: number;
}

export class TubInput {
  @Text(1, 80) name: string;
  @PartOfKind(solids) inside: SolidGiven;
  /** Thickness of its wall, mm. */
  @Amount(0, 100) wall: number;
  @Version() version: number;
}

export interface TubView {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly inside: Solid;
  readonly wall: number;
}

/** What comes with the file of a picture. */
export class CaptionInput {
  @IsOptional() @Text(0, 200) caption?: string;
}
