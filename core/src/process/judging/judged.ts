import { defined } from '../../foundation/math/index.js';
import { type Finding, type FindingKey, quantity } from '../../foundation/units/index.js';
import {
  narrowestGap,
  type MouldMaterial,
  type MouldFlexibility,
  type ReleaseName,
} from '../../geometry/moulds/index.js';
import type { ShoppingLine } from '../../mixing/materials/index.js';
import { isLightweight, type GradeChange, type MixFigures } from '../../mixing/mixes/index.js';
import {
  placingOf,
  type BigMould,
  type PieceFigures,
  type PlacingWay,
  type PourItem,
  type PourPlan,
} from '../pours/index.js';
import type { PieceUse } from '../sealing/index.js';

/** The one choice of a plan that a remedy makes. */
export type PlanChange =
  | GradeChange
  /** What is put on the moulds. */
  | { readonly release: ReleaseName }
  /** A mix in which it does not arise: `mixesThatFit` tells which of the workshop's do. */
  | { readonly mix: 'another' }
  /** One more pair of hands. */
  | { readonly people: 'one more' }
  /** No mesh in that item. */
  | { readonly mesh: false };

/** What speaks against a mould with a mix, a place and a use. */
export interface PourFinding extends Finding<PlanChange> {
  /** Which of the plan's items, from 0; undefined for the whole pour. */
  readonly item?: number;
  /** Why the caster put it aside. */
  readonly aside?: string;
}

/** What is known of a mould beyond its shape. */
export interface MouldTraits {
  readonly flexibility: MouldFlexibility;
  readonly material?: MouldMaterial;
  readonly sleeve?: boolean;
  /** Opening of the mesh that is laid in, mm. */
  readonly meshOpening?: number;
  /** Of the empty cores, g. */
  readonly coreMass?: number;
  /** What is put on it as a rule, where the pour says nothing. */
  readonly release?: ReleaseName;
}

/** An hour ahead by a forecast: °C, share, km/h. */
export interface HourAhead {
  readonly temperature: number;
  readonly humidity: number;
  readonly wind: number;
}

/** A finding that the caster put aside for a mould, with the reason. */
export interface PutAside {
  readonly key: FindingKey;
  readonly mouldId: string;
  readonly reason: string;
}

/** What a pour is judged by beyond its plan. What is left out is not judged, and is said so. */
export interface JudgeContext {
  readonly moulds?: Readonly<Record<string, MouldTraits>>;
  readonly release?: ReleaseName;
  /** What the pieces are for. */
  readonly uses?: readonly PieceUse[];
  /** What the mix's own note says it is not for. */
  readonly unfit?: string;
  /** Hour by hour from the pour on, two days at most. */
  readonly ahead?: readonly HourAhead[];
  /** ms, for the age of what is in the store. */
  readonly now?: number;
  readonly aside?: readonly PutAside[];
}

/** What was calculated of a plan already. A sheet has it. */
export interface PourFigures {
  readonly mix: MixFigures;
  readonly pieces: readonly PieceFigures[];
  readonly short: readonly ShoppingLine[];
  /** Moulds that want more than the bucket mixes at once. */
  readonly big: readonly BigMould[];
  /** Whether a batch can be placed before it stiffens. */
  readonly inTime: boolean;
}

/** One mould of a plan, as the rules see it. */
export interface JudgedMould {
  readonly item: PourItem;
  readonly plan: PourPlan;
  readonly mix: MixFigures;
  readonly piece: PieceFigures;
  readonly way: PlacingWay;
  /** Narrowest place that the mix must fill, mm; undefined where a mould comes to a point or an edge. */
  readonly gap: number | undefined;
  readonly traits: MouldTraits | undefined;
  readonly light: boolean;
  readonly context: JudgeContext;
}

/** What a rule makes of one mould of a plan. */
export type ItemRule = (judged: JudgedMould) => Finding<PlanChange> | readonly Finding<PlanChange>[] | undefined;

/** A whole plan, as the rules see it. */
export interface JudgedPour {
  readonly plan: PourPlan;
  readonly figures: PourFigures;
  readonly context: JudgeContext;
}

/** What a rule makes of a plan as a whole. */
export type PourRule = (judged: JudgedPour) => readonly Finding<PlanChange>[];

/** Narrower than this is a point or an edge of the mould's own, and no wall, mm. */
const POINTED = 0.5;

/** A remedy that another mix is. */
export const ANOTHER_MIX = { mix: 'another' } as const;

/** A length in words. */
export const mm = (value: number) => quantity(value, 'mm');

/** Each mould of a plan, with what the rules go by. */
export function judgedItems({ plan, figures: { mix, pieces }, context }: JudgedPour): JudgedMould[] {
  const light = isLightweight(plan.mix);
  return plan.items.map((item, at) => {
    const { shape } = item;
    const narrowest = shape.pressed ? shape.pressed.thickness : narrowestGap(shape);
    return {
      item,
      plan,
      mix,
      piece: defined(pieces[at]),
      way: placingOf(item, plan),
      gap: narrowest > POINTED ? narrowest : undefined,
      traits: context.moulds?.[item.mouldId],
      light,
      context,
    };
  });
}
