import { faceNames, polyhedronNames, type FaceName, type PlanPoint, type PolyhedronName } from '@dewpot/core/solids';
import {
  boxBottoms,
  boxCorners,
  cutPatternKinds,
  houseRoofs,
  houseWalls,
  insideKinds,
  woodKinds,
  type BedPattern,
  type BoxPattern,
  type CutPattern,
  type GapPattern,
  type HousePattern,
  type HouseWall,
  type InsidePattern,
  type InsidePiece,
  type PanelBoxPattern,
  type SolidPattern,
  type StripLine,
  type StripPattern,
  type WoodPattern,
} from '@dewpot/core/patterns';
import { IsBoolean, IsIn, IsOptional } from 'class-validator';
import { kindsOf, PartOfKind, type AnyOf } from './kinds.js';
import { Amount, Amounts, ListOf, Millimetres, MOST_POINTS, Offset, Outline, Part, Whole } from './limits.js';

/** Something that is drawn, cut and put together to cast in; its `kind` tells which sizes are wanted. All in mm and degrees. */
export class CutPatternInput {
  @IsIn(cutPatternKinds) kind: CutPattern['kind'];
}

/** A plug that a lamp's holder leaves room for. */
export class HolderInput {
  @Millimetres() diameter: number;
  @Millimetres() depth: number;
}

export class SolidPatternInput extends CutPatternInput implements SolidPattern {
  declare kind: 'solid';
  @IsIn(polyhedronNames) which: PolyhedronName;
  @Millimetres() edge: number;
  @IsIn(faceNames) open: FaceName;
  @Millimetres() board: number;
  @IsIn(['mitred', 'taped']) joint: SolidPattern['joint'];
  @IsOptional() @Part(() => HolderInput) holder?: HolderInput;
}

/** A hollow for a product: its size, the gap round it, how deep it lies, and how far its floor falls, mm in 100. */
export class HollowInput {
  @Millimetres() length: number;
  @Millimetres() width: number;
  @Millimetres(0) gap: number;
  @Millimetres() depth: number;
  @Amount(0, 100) fall: number;
}

export class BoxPatternInput extends CutPatternInput implements BoxPattern {
  declare kind: 'box';
  @Millimetres() length: number;
  @Millimetres() width: number;
  @Millimetres() height: number;
  @Millimetres() board: number;
  @IsIn(boxCorners) corner: BoxPattern['corner'];
  @IsIn(boxBottoms) bottom: BoxPattern['bottom'];
  @IsOptional() @Millimetres() screw?: number;
  @IsOptional() @Part(() => HollowInput) hollow?: HollowInput;
}

export class PanelBoxPatternInput extends CutPatternInput implements PanelBoxPattern {
  declare kind: 'panel-box';
  @Millimetres() length: number;
  @Millimetres() width: number;
  @Millimetres() height: number;
  @Millimetres() panel: number;
  @IsIn(['covered', 'mitred']) corner: PanelBoxPattern['corner'];
  /** The side panel as it was drawn; the one that fits where left out. */
  @IsOptional() @Millimetres() drawnSide?: number;
}

export class OpeningInput {
  @IsIn(houseWalls) wall: HouseWall;
  @Offset() x: number;
  @Offset() y: number;
  @Millimetres() width: number;
  @Millimetres() height: number;
}

export class HousePatternInput extends CutPatternInput implements HousePattern {
  declare kind: 'house';
  @Millimetres() width: number;
  @Millimetres() depth: number;
  @Millimetres() eaves: number;
  @Amount(0, 90) pitch: number;
  @Millimetres() panel: number;
  @Millimetres(0) overhang: number;
  @IsIn(houseRoofs) roof: HousePattern['roof'];
  @Millimetres() roofThickness: number;
  @IsOptional() @Millimetres(0) soil?: number;
  @Millimetres() base: number;
  @Millimetres() sheet: number;
  @IsOptional() @Millimetres() cover?: number;
  @ListOf(() => OpeningInput, { most: 24 }) openings: readonly OpeningInput[];
}

const stripShapes = ['ring', 'arc', 'spiral', 'heart', 'free'] as const satisfies readonly StripLine['shape'][];

/** The middle of a channel, or the line round an area. */
export class StripLineInput {
  @IsIn(stripShapes) shape: StripLine['shape'];
}

export class RingLineInput extends StripLineInput {
  declare shape: 'ring';
  @Millimetres() diameter: number;
}

export class ArcLineInput extends StripLineInput {
  declare shape: 'arc';
  @Millimetres() radius: number;
  @Amount(0, 360) angle: number;
}

export class SpiralLineInput extends StripLineInput {
  declare shape: 'spiral';
  @Millimetres() start: number;
  @Millimetres() pitch: number;
  @Amount(0, 100) turns: number;
}

export class HeartLineInput extends StripLineInput {
  declare shape: 'heart';
  @Millimetres() width: number;
}

export class FreeLineInput extends StripLineInput {
  declare shape: 'free';
  @Outline({ least: 2, most: MOST_POINTS }) points: readonly PlanPoint[];
  @IsBoolean() closed: boolean;
}

const stripLines = kindsOf(StripLineInput, 'shape', {
  ring: RingLineInput,
  arc: ArcLineInput,
  spiral: SpiralLineInput,
  heart: HeartLineInput,
  free: FreeLineInput,
});

export class StripPatternInput extends CutPatternInput implements StripPattern {
  declare kind: 'strip';
  @PartOfKind(stripLines) line: AnyOf<typeof stripLines>;
  /** Between its two walls; one wall round an area where left out. */
  @IsOptional() @Millimetres() channel?: number;
  @Millimetres() height: number;
  @Millimetres() strip: number;
  @Amount(1, 1_000_000) sheet: number;
  @Millimetres(0) overlap: number;
}

/** A diagonal by the places of its corners, from 0. */
export class DiagonalInput {
  @Whole(0, 100) from: number;
  @Whole(0, 100) to: number;
  @Millimetres() length: number;
}

export class GapPatternInput extends CutPatternInput implements GapPattern {
  declare kind: 'gap';
  /** In order round it, counter-clockwise. */
  @Amounts(0.1, 20_000, { least: 0, most: 40 }) sides: readonly number[];
  @ListOf(() => DiagonalInput, { most: 100 }) diagonals: readonly DiagonalInput[];
  /** Out of a photo, in place of the lengths. */
  @IsOptional() @Outline({ least: 3, most: MOST_POINTS }) outline?: readonly PlanPoint[];
  @Millimetres(0) joint: number;
  @Millimetres() thickness: number;
  @Millimetres() board: number;
}

export class BedPatternInput extends CutPatternInput implements BedPattern {
  declare kind: 'bed';
  @Millimetres() length: number;
  @Millimetres() width: number;
  @Millimetres() panelHeight: number;
  @Millimetres() panelLength: number;
  @Millimetres() panel: number;
  @Amount(0, 45) draft: number;
  @Amount(1, 20) levels: number;
  @Millimetres() rod: number;
}

export class WoodPatternInput extends CutPatternInput implements WoodPattern {
  declare kind: 'wood';
  @IsIn(woodKinds) wood: WoodPattern['wood'];
  @Millimetres() length: number;
  /** Round where it is left out. */
  @IsOptional() @Millimetres() width?: number;
  @Millimetres() thickness: number;
  @IsOptional() @Millimetres() cord?: number;
  @IsOptional() @Millimetres() wall?: number;
}

/** What stands in a mould beside the mix; `what` tells which sizes are wanted. */
export class InsidePieceInput {
  @IsIn(insideKinds) what: InsidePiece['what'];
}

export class MeshPieceInput extends InsidePieceInput {
  declare what: 'mesh';
  @Millimetres() length: number;
  /** Round where it is left out. */
  @IsOptional() @Millimetres() width?: number;
  @Millimetres() slab: number;
  @Millimetres(0) cover: number;
}

export class WirePieceInput extends InsidePieceInput {
  declare what: 'wire';
  @Millimetres() pipe: number;
  @Millimetres() wire: number;
  @Amount(0, 500) turns: number;
  @Millimetres() pitch: number;
}

export class CorePieceInput extends InsidePieceInput {
  declare what: 'core';
  @Millimetres(0) bottom: number;
  @Millimetres() top: number;
  @Millimetres() height: number;
  @Millimetres() card: number;
  @Millimetres(0) overlap: number;
}

export class PlugPieceInput extends InsidePieceInput {
  declare what: 'plug';
  @Millimetres() hole: number;
  @Millimetres() slab: number;
  @Amount(0, 30) draft: number;
  @Whole(1, 200) count: number;
}

export class SandPieceInput extends InsidePieceInput {
  declare what: 'sand';
  @Millimetres() length: number;
  @Millimetres() width: number;
  @Millimetres(0) rise: number;
  @Millimetres() board: number;
}

const insidePieces = kindsOf(InsidePieceInput, 'what', {
  mesh: MeshPieceInput,
  wire: WirePieceInput,
  core: CorePieceInput,
  plug: PlugPieceInput,
  sand: SandPieceInput,
});

export class InsidePatternInput extends CutPatternInput implements InsidePattern {
  declare kind: 'inside';
  @PartOfKind(insidePieces) piece: AnyOf<typeof insidePieces>;
}

/** Patterns by their kind. */
export const patternInputs = kindsOf(CutPatternInput, 'kind', {
  solid: SolidPatternInput,
  box: BoxPatternInput,
  'panel-box': PanelBoxPatternInput,
  house: HousePatternInput,
  strip: StripPatternInput,
  gap: GapPatternInput,
  bed: BedPatternInput,
  wood: WoodPatternInput,
  inside: InsidePatternInput,
});
export type PatternGiven = AnyOf<typeof patternInputs>;
