import { msg, type Message } from '../../foundation/units/index.js';
import type { Filling, FinishKind, PourTint } from '../pours/index.js';

/** What is done at the bench, in the order of the work. */
export type StepKind =
  | 'lay-out'
  | 'release'
  | 'release-dries'
  | 'insets'
  | 'cores'
  | 'wash'
  | 'weigh'
  | 'mix'
  | 'rest'
  | 'fill'
  | 'press'
  | 'tap'
  | 'mesh'
  | 'strike'
  | 'cover'
  | 'clean'
  | FinishKind;

/** One mould in a step. */
export interface StepMould {
  /** Part, item and copy: always the same mould of the pour. */
  readonly key: string;
  /** Which of its part's items, from 0. */
  readonly item: number;
  readonly name: string;
  /** Which layer, from 1 at the bottom. */
  readonly layer?: number;
  /** mL that go in at this step. */
  readonly volume: number;
  /** Height to which it is then filled, mm; undefined where it is not poured. */
  readonly to?: number;
}

/** A wait that a step must keep after another, minutes. */
export interface StepWait {
  /** Steps that laid what lies below. */
  readonly below: readonly string[];
  readonly from: number;
  /** The wanted edge is had until then. */
  readonly to: number;
  readonly cold: number;
  readonly edge: 'crisp' | 'blended';
}

/** One step of a pour at the bench. */
export interface Step {
  /** Always the same for the same step of the same plan. */
  readonly key: string;
  readonly kind: StepKind;
  /** Which of the pour's mixes, from 0. */
  readonly part: number;
  /** Which bucketful of that mix, from 0; undefined for what is done for the whole pour. */
  readonly bucket?: number;
  readonly tint?: PourTint;
  readonly minutes: number;
  /** Whether it takes both hands; else time passes by itself. */
  readonly hands: boolean;
  readonly moulds: readonly StepMould[];
  /** Which lift of how many, from 1. */
  readonly lift?: { readonly n: number; readonly of: number };
  /** Minutes from here in which the bucketful can be placed; of a mixing step. */
  readonly potLife?: number;
  readonly after?: StepWait;
  /** Minutes after another step's end between which it is done: a finish that waits for the face. */
  readonly window?: { readonly of: string; readonly from: number; readonly to: number };
}

/** The key of one mould of a pour. */
export const mouldKey = (part: number, { item }: Pick<Filling, 'item'>, copy: number): string =>
  `${part}.${item}.${copy}`;

/** What a step is called. */
export const stepNames: Record<StepKind, Message> = {
  'lay-out': msg('bench.layOut'),
  release: msg('bench.release'),
  'release-dries': msg('bench.releaseDries'),
  insets: msg('bench.inlays'),
  cores: msg('bench.cores'),
  wash: msg('bench.washUp'),
  weigh: msg('bench.weigh'),
  mix: msg('pours.mix'),
  rest: msg('bench.rest'),
  fill: msg('bench.pour'),
  press: msg('bench.press'),
  tap: msg('bench.tap'),
  mesh: msg('bench.mesh'),
  strike: msg('bench.strike'),
  cover: msg('bench.cover'),
  clean: msg('bench.clean'),
  smooth: msg('bench.smooth'),
  float: msg('bench.float'),
  'first-edge': msg('bench.firstEdge'),
  'second-edge': msg('bench.secondEdge'),
  trowel: msg('bench.trowel'),
  broom: msg('bench.broom'),
};
