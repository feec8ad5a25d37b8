import type { FaceName, PlanPoint, PolyhedronName } from '../solids/index.js';

/** A solid of equal faces, made of boards that meet at half their angle, or of thin board that is taped. Edge inside, mm. */
export interface SolidPattern {
  readonly kind: 'solid';
  readonly which: PolyhedronName;
  readonly edge: number;
  readonly open: FaceName;
  readonly board: number;
  /** Taped: cut to the inner face, the outside left as a V that is filled. */
  readonly joint: 'mitred' | 'taped';
  /** A plug on the face opposite the open one, for what a lamp is held by. */
  readonly holder?: { readonly diameter: number; readonly depth: number };
}

export const boxCorners = ['lapped', 'pinwheel', 'mitred'] as const;
export const boxBottoms = ['between', 'under'] as const;

/** A box or tray of boards: inside length, width and height, mm. */
export interface BoxPattern {
  readonly kind: 'box';
  readonly length: number;
  readonly width: number;
  readonly height: number;
  readonly board: number;
  readonly corner: (typeof boxCorners)[number];
  readonly bottom: (typeof boxBottoms)[number];
  /** Diameter of the screws, mm; none where left out. */
  readonly screw?: number;
  /** A hollow in the top for a product to lie in, its floor falling towards one end. */
  readonly hollow?: HollowFor;
}

/** What a product that lies in a dish asks for: its size, the gap round it, how deep it lies, and the fall of the floor for its water (mm in 100). */
export interface HollowFor {
  readonly length: number;
  readonly width: number;
  readonly gap: number;
  readonly depth: number;
  readonly fall: number;
}

/** Four cast panels that make a box: the outside that is wanted, and the side panel as it was drawn, where one was. mm */
export interface PanelBoxPattern {
  readonly kind: 'panel-box';
  readonly length: number;
  readonly width: number;
  readonly height: number;
  readonly panel: number;
  readonly corner: 'covered' | 'mitred';
  readonly drawnSide?: number;
}

export const houseWalls = ['front', 'back', 'left', 'right'] as const;
export type HouseWall = (typeof houseWalls)[number];

/** A window or a door: its lower left corner on its panel as seen from outside, and its size. mm */
export interface Opening {
  readonly wall: HouseWall;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

export const houseRoofs = ['wood', 'cast', 'planted'] as const;

/** A house of cast panels: outside width across the gable, depth, height of the eaves, pitch in degrees, panel thickness. mm */
export interface HousePattern {
  readonly kind: 'house';
  readonly width: number;
  readonly depth: number;
  readonly eaves: number;
  readonly pitch: number;
  readonly panel: number;
  readonly overhang: number;
  readonly roof: (typeof houseRoofs)[number];
  /** Thickness of the roof, of the soil on a planted one, of the base board and of the sheet that blanks are cut from. */
  readonly roofThickness: number;
  readonly soil?: number;
  readonly base: number;
  readonly sheet: number;
  /** Concrete over the mesh; no mesh where left out. */
  readonly cover?: number;
  readonly openings: readonly Opening[];
}

/** The middle of a channel, or the line round an area. mm, degrees */
export type StripLine =
  | { readonly shape: 'ring'; readonly diameter: number }
  | { readonly shape: 'arc'; readonly radius: number; readonly angle: number }
  | { readonly shape: 'spiral'; readonly start: number; readonly pitch: number; readonly turns: number }
  | { readonly shape: 'heart'; readonly width: number }
  | { readonly shape: 'free'; readonly points: readonly PlanPoint[]; readonly closed: boolean };

/** Strips on edge on a board: a channel with a wall on both sides, or one wall round an area where `channel` is left out. mm */
export interface StripPattern {
  readonly kind: 'strip';
  readonly line: StripLine;
  readonly channel?: number;
  readonly height: number;
  readonly strip: number;
  /** Length of the sheet that strips are cut from, and how far they lap over each other. */
  readonly sheet: number;
  readonly overlap: number;
}

/** A length that was taped between two corners of a gap, by their places in order. mm */
export interface TapedDiagonal {
  readonly from: number;
  readonly to: number;
  readonly length: number;
}

/** A slab for a gap, by tape: its sides in order round it, counter-clockwise, and diagonals; or by its outline out of a photo. mm */
export interface GapPattern {
  readonly kind: 'gap';
  readonly sides: readonly number[];
  readonly diagonals: readonly TapedDiagonal[];
  readonly outline?: readonly PlanPoint[];
  readonly joint: number;
  readonly thickness: number;
  readonly board: number;
}

/** A bed of panels that stand on each other: outside length and width, height and thickness of a panel, its longest length. mm, degrees */
export interface BedPattern {
  readonly kind: 'bed';
  readonly length: number;
  readonly width: number;
  readonly panelHeight: number;
  readonly panelLength: number;
  readonly panel: number;
  readonly draft: number;
  readonly levels: number;
  readonly rod: number;
}

export const woodKinds = ['disc', 'base', 'roof', 'lid', 'feet'] as const;

/** Wood that goes with a cast: round where `width` is left out, by the cast's size that it fits. mm */
export interface WoodPattern {
  readonly kind: 'wood';
  readonly wood: (typeof woodKinds)[number];
  readonly length: number;
  readonly width?: number;
  readonly thickness: number;
  /** Diameter of a cord that lies in a groove across the middle. */
  readonly cord?: number;
  /** Of a lid: the wall that it rests on, its lip within it; without it the lid is its lip alone. */
  readonly wall?: number;
}

/** What stands in a mould beside the mix, or is cast in, mm, degrees: by what it is. */
export type InsidePiece =
  /** Mesh for a slab, round where `width` is left out, with cover on every side. */
  | { readonly what: 'mesh'; readonly length: number; readonly width?: number; readonly slab: number; readonly cover: number }
  /** Wire that is wound about a pipe: diameters of both, turns, and the way from turn to turn. */
  | { readonly what: 'wire'; readonly pipe: number; readonly wire: number; readonly turns: number; readonly pitch: number }
  /** A core bent from card: its diameters as it stands, its height, and how far the card laps. */
  | { readonly what: 'core'; readonly bottom: number; readonly top: number; readonly height: number; readonly card: number; readonly overlap: number }
  /** Plugs that leave drain holes: the hole on its narrow side, the slab, the plug's draft, and how many. */
  | { readonly what: 'plug'; readonly hole: number; readonly slab: number; readonly draft: number; readonly count: number }
  /** The bed of sand under a leaf: the leaf's size, and how high it is to be domed. */
  | { readonly what: 'sand'; readonly length: number; readonly width: number; readonly rise: number; readonly board: number }; // prettier-ignore

export const insideKinds = ['mesh', 'wire', 'core', 'plug', 'sand'] as const satisfies readonly InsidePiece['what'][];

export interface InsidePattern {
  readonly kind: 'inside';
  readonly piece: InsidePiece;
}

/** Everything that is drawn, cut and put together to cast in. */
export type CutPattern =
  | SolidPattern
  | BoxPattern
  | PanelBoxPattern
  | HousePattern
  | StripPattern
  | GapPattern
  | BedPattern
  | WoodPattern
  | InsidePattern;

export const cutPatternKinds = ['solid', 'box', 'panel-box', 'house', 'strip', 'gap', 'bed', 'wood', 'inside'] as const satisfies readonly CutPattern['kind'][]; // prettier-ignore

/** What a pattern is worked out with: fresh density of the mix, kg/L, and what one may lift, g. */
export interface PatternWays {
  readonly density: number;
  readonly liftLimit: number;
}
