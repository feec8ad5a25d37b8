import { releaseCalled } from '../../geometry/moulds/index.js';
import type { HourAhead, JudgeContext, MouldTraits, PutAside } from '../judging/index.js';
import type { PieceUse } from '../sealing/index.js';
import type { KeptMould, PourChoices, PourPart, PourSources } from './pour-sources.js';

/** What a pour says that its judgement asks for. */
type JudgedChoices = Pick<PourChoices, 'release'> & {
  readonly uses?: readonly PieceUse[];
  readonly aside?: readonly PutAside[];
};

/** A finding that is put aside for a mould with a mix, until it is taken back. */
export interface LastingAside extends PutAside {
  readonly mixId: string;
}

/** What a mould is, for whoever judges it. */
const traitsOf = ({ flexibility, material, sleeve, meshOpening, coreMass, release }: KeptMould): MouldTraits => ({
  flexibility,
  ...(material && { material }),
  ...(sleeve !== undefined && { sleeve }),
  ...(meshOpening !== undefined && { meshOpening }),
  ...(coreMass !== undefined && { coreMass }),
  ...(release && { release }),
});

/** What a pour is judged by beside its plan. */
export interface JudgeSources {
  readonly moulds: readonly KeptMould[];
  readonly mixes: PourSources['mixes'];
  readonly aside: readonly LastingAside[];
  /** Hour by hour from now on, where the air of the place is known. */
  readonly ahead?: readonly HourAhead[];
  /** ms */
  readonly now: number;
}

/** What one part of a pour is judged by. */
export function judgeContextOf(
  input: JudgedChoices,
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
