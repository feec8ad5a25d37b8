import { wantedStates, type OrderLine, type WantedState } from '@dewpot/core/calendar';
import { sealers, type SealerKind } from '@dewpot/core/materials';
import { IsBoolean, IsIn, IsOptional, IsUUID } from 'class-validator';
import { Hours, ListOf, Text, Time, Version, Whole } from './limits.js';

/** Pieces of one line at most. */
export const MOST_WANTED = 500;

/** Pieces of one mould in one mix and tint that somebody wants. */
export class OrderLineInput implements OrderLine {
  @IsUUID() id: string;
  @IsUUID() mouldId: string;
  @IsUUID() mixId: string;
  /** In the mix's own colour where it is left out. */
  @IsOptional() @IsUUID() tintId?: string;
  @Whole(1, MOST_WANTED) count: number;
  @IsIn(wantedStates) state: WantedState;
  /** ms; as early as possible where it is left out. */
  @IsOptional() @Time() by?: number;
  @IsOptional() @IsIn(Object.keys(sealers)) sealer?: SealerKind;
  @IsOptional() @Whole(1, 6) coats?: number;
  /** Of a part of an article: hours from its own readiness until the joint carries. */
  @IsOptional() @Hours(0) joining?: number;
}

/** What somebody wants made. */
export class OrderInput {
  @Text(1, 80) name: string;
  /** Where it is poured; in the workshop's first place where it is left out. */
  @IsOptional() @IsUUID() placeId?: string;
  @ListOf(() => OrderLineInput, { least: 1, most: 30 }) lines: readonly OrderLineInput[];
  /** It is handed over, or given up: nothing is planned for it any more. */
  @IsOptional() @IsBoolean() closed?: boolean;
  @Version() version: number;
}

/** A line, and how far it has come. */
export interface OrderLineView extends OrderLineInput {
  /** Pieces that were poured for it and are not broken; of those, how many are as they are wanted. */
  readonly poured: number;
  readonly ready: number;
}

export interface OrderView extends Omit<OrderInput, 'version' | 'lines'> {
  readonly id: string;
  readonly version: number;
  readonly lines: readonly OrderLineView[];
}
