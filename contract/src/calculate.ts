import {
  mouldFlexibilities,
  mouldMaterials,
  pieceKinds,
  volumeMeasuredBy,
  type MouldFlexibility,
  type MouldMaterial,
  type PieceKind,
  type VolumeMeasuredBy,
} from '@dewpot/core/moulds';
import { shellSides, type ShellSide } from '@dewpot/core/solids';
import { IsBoolean, IsIn, IsOptional } from 'class-validator';
import {
  LEAST_LENGTH,
  MOST_LENGTH,
  MOST_VOLUME,
  Amount,
  Amounts,
  Density,
  Grams,
  ListOf,
  Millimetres,
  Part,
  Text,
  Whole,
} from './limits.js';
import { PartOfKind } from './kinds.js';
import { MouldShapeInput, solids, type SolidGiven } from './solids.js';

export class CavityQuestion {
  @Part(() => MouldShapeInput) shape: MouldShapeInput;
  @IsIn(mouldFlexibilities) flexibility: MouldFlexibility;
  @IsIn(pieceKinds) piece: PieceKind;
  /** Of the fresh mix, kg/L. */
  @IsOptional() @Density() density?: number;
  /** Of the dry piece, kg/L. */
  @IsOptional() @Density() dryDensity?: number;
  /** Largest grain of the mix, mm. */
  @IsOptional() @Amount(0, 1000) largestGrain?: number;
  /** Opening of the mesh laid in, mm. */
  @IsOptional() @Millimetres() meshOpening?: number;
  /** Of the empty cores, g. */
  @IsOptional() @Grams() coreMass?: number;
  @IsOptional() @IsBoolean() sleeve?: boolean;
  /** How far below its rim a jar is filled, mm. */
  @IsOptional() @Millimetres(0) fillGap?: number;
}

export class ShellQuestion {
  @PartOfKind(solids) form: SolidGiven;
  @IsIn(shellSides) side: ShellSide;
  /** Thicknesses to compare, mm. */
  @Amounts(LEAST_LENGTH, MOST_LENGTH, { least: 1, most: 20 }) thicknesses: readonly number[];
  /** Of the fresh mix, kg/L. */
  @IsOptional() @Density() density?: number;
}

export class FillQuestion {
  @Part(() => MouldShapeInput) shape: MouldShapeInput;
  /** Heights to tell volumes for, mm. */
  @IsOptional() @Amounts(-MOST_LENGTH, MOST_LENGTH, { most: 100 }) heights?: readonly number[];
  /** Volumes to tell heights for, mL. */
  @IsOptional() @Amounts(0, MOST_VOLUME, { most: 100 }) volumes?: readonly number[];
  /** Shares of layers, bottom up, which add up to 1. */
  @IsOptional() @Amounts(0, 1, { most: 20 }) layers?: readonly number[];
}

export class BallastQuestion {
  @Part(() => MouldShapeInput) shape: MouldShapeInput;
  /** Of the fresh mix, kg/L. */
  @Density() density: number;
  /** Of the empty cores, g. */
  @IsOptional() @Grams() coreMass?: number;
  @IsOptional() @Whole(1, 12) lifts?: number;
  /** Height of a set lift that is poured on, and of the fluid, mm; from the bottom to the rim where left out. */
  @IsOptional() @Millimetres(0) from?: number;
  @IsOptional() @Millimetres(0) to?: number;
  /** Loose density of the sand that weighs the cores down, kg/L; fine sand where left out. */
  @IsOptional() @Density() sand?: number;
}

export class MeasuredQuestion {
  @IsIn(volumeMeasuredBy) by: VolumeMeasuredBy;
  /** What filled the mould, g. */
  @Grams() mass: number;
  /** Of what filled it, kg/L; water where left out. */
  @IsOptional() @Density() density?: number;
}

export class TubQuestion {
  @Text(1, 80) name: string;
  @PartOfKind(solids) inside: SolidGiven;
  @Millimetres(0) wall: number;
}

export class PairsQuestion {
  @ListOf(() => TubQuestion, { least: 2, most: 60 })
  tubs: readonly TubQuestion[];
  @Millimetres(0) wall: number;
  @Millimetres(0) base: number;
}

export class GrainQuestion {
  /** mm */
  @Amount(0, 1000) grain: number;
  @Millimetres(0) gap: number;
  @IsOptional() @Millimetres() meshOpening?: number;
}

export class LevelQuestion {
  @Millimetres() length: number;
  /** Degrees. */
  @Amount(-89, 89) slope: number;
}

export class MeshCutQuestion {
  @IsIn(['slab', 'wall']) piece: 'slab' | 'wall';
  /** Of the slab, or the way round the middle of the wall, mm. */
  @Millimetres() length: number;
  /** Of the slab, or the height of the wall, mm. */
  @Millimetres() width: number;
  @IsOptional() @Millimetres(0) cover?: number;
}

export class PanelBoxQuestion {
  @Millimetres() length: number;
  @Millimetres() width: number;
  @Millimetres() thickness: number;
}

export class ReleaseQuestion {
  @IsIn(Object.keys(mouldMaterials)) material: MouldMaterial;
}
