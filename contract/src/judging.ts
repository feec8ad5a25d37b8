import {
  releaseCalled,
  type CandidateMix,
  type HourAhead,
  type JudgeContext,
  type MouldTraits,
  type PutAside,
} from '@dewpot/core';
import { Text } from './limits.js';
import type { MouldView } from './moulds.js';
import type { PourInput, PourPart } from './pours.js';
import { mixConditionsOf, mixOf, type PlanParts } from './resolve.js';

/** Why a finding is put aside for a mould with a mix. */
export class AsideReason {
  @Text(1, 300) reason: string;
}

/** A finding that is put aside for a mould with a mix, until it is taken back. */
export interface LastingAside extends PutAside {
  readonly mixId: string;
}

/** What a mould is, for whoever judges it. */
export const traitsOf = ({
  flexibility,
  material,
  sleeve,
  meshOpening,
  coreMass,
  release,
}: MouldView): MouldTraits => ({
  flexibility,
  ...(material && { material }),
  ...(sleeve !== undefined && { sleeve }),
  ...(meshOpening !== undefined && { meshOpening }),
  ...(coreMass !== undefined && { coreMass }),
  ...(release && { release }),
});

/** What a pour is judged by beside its plan. */
export interface JudgeSources {
  readonly moulds: readonly MouldView[];
  readonly mixes: PlanParts['mixes'];
  readonly aside: readonly LastingAside[];
  /** Hour by hour from now on, where the air of the place is known. */
  readonly ahead?: readonly HourAhead[];
  /** ms */
  readonly now: number;
}

/** What one part of a pour is judged by. */
export function judgeContextOf(
  input: Pick<PourInput, 'release' | 'uses' | 'aside'>,
  { mixId, plan }: Pick<PourPart, 'mixId' | 'plan'>,
  { moulds, mixes, aside, ahead, now }: JudgeSources,
): JudgeContext {
  const own = moulds.filter(({ id }) => plan.items.some(({ mouldId }) => mouldId === id));
  const release = releaseCalled(input.release);
  const unfit = mixes.find(({ id }) => id === mixId)?.unfit;
  return {
    moulds: Object.fromEntries(own.map((mould) => [mould.id, traitsOf(mould)])),
    ...(release && { release }),
    ...(input.uses && { uses: input.uses }),
    ...(unfit && { unfit }),
    ...(ahead && { ahead }),
    now,
    aside: [...(input.aside ?? []), ...aside.filter((one) => one.mixId === mixId)],
  };
}

/** The mixes of a workshop, as a pour might take them in place of its own. */
export const candidatesOf = (parts: PlanParts): CandidateMix[] =>
  parts.mixes.map((view) => {
    const mix = mixOf(view, parts.find);
    const { id, name, binderClass, unfit } = view;
    return { id, name, mix, binderClass, conditions: mixConditionsOf(view, mix, parts), ...(unfit && { unfit }) };
  });
