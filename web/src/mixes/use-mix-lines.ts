import { useEffect, useRef, useState } from 'react';
import { defined } from '@dewpot/core/math';
import type { Message } from '@dewpot/core/units';
import { changeHolding, lineToldBy, usualBinderClass, type Held, type PartsBy } from '@dewpot/core/mixes';
import type { MixInput, StoreView } from '@dewpot/contract';
import { firstIssue } from '../ui/input-error-message';
import { swapped } from '../ui/swapped';
import { resolveMix, withRecipe } from './resolve';
import type { CalculatedMix } from './use-calculated-mix';

export type Line = MixInput['lines'][number];

export interface MixLinesProps {
  readonly draft: MixInput;
  readonly calculated: CalculatedMix;
  readonly store: StoreView;
  readonly onChange: (draft: MixInput) => void;
}

/** What can be done with a line, by its index. */
export interface LineDoes {
  readonly begin: () => void;
  readonly type: (at: number, parts: number) => void;
  readonly move: (at: number, to: number) => void;
  readonly turn: (at: number, to: PartsBy) => void;
  readonly leave: (at: number) => void;
}

/** The lines of a recipe as they are edited, and what is held while one changes. */
export function useMixLines({ draft, calculated, store, onChange }: MixLinesProps) {
  const { lines, by } = draft;
  const [hold, setHold] = useState<Held | ''>('');
  const [refused, setRefused] = useState<Message>();
  // What a line is held against: the recipe as it was when the line was entered, so that digits half typed leave no trace.
  const before = useRef({ draft, calculated });
  const put = (next: Line[]) => onChange({ ...draft, lines: next });
  // Another binder sets otherwise; how it sets stays as it was chosen while its binder does.
  const putMaterials = (next: Line[]) => {
    const binderClass = usualBinderClass(resolveMix({ ...draft, lines: next }, store.materials));
    const changed = binderClass !== undefined && binderClass !== usualBinderClass(calculated.mix);
    onChange({ ...draft, lines: next, ...(changed && { binderClass }) });
  };
  const type = (at: number, parts: number) => {
    setRefused(undefined);
    const plain = () => put(lines.map((one, i) => (i === at ? { ...one, parts } : one)));
    if (!hold || !(parts > 0)) return plain();
    const { mix, conditions } = before.current.calculated;
    try {
      onChange(withRecipe(draft, changeHolding(mix, { line: at, parts, hold }, conditions)));
    } catch (error) {
      setRefused(firstIssue(error));
      plain();
    }
  };
  const swap = (at: number, other: number) => put(swapped(lines, at, other));
  const turn = (at: number, to: PartsBy) => {
    const { parts } = lineToldBy(defined(calculated.mix.lines[at]), by, to);
    const { materialId } = defined(lines[at]);
    put(lines.map((one, i) => (i === at ? { materialId, parts, ...(to !== by && { by: to }) } : one)));
  };
  const begin = () => {
    before.current = { draft, calculated };
  };
  const leave = (at: number) => putMaterials(lines.filter((_, i) => i !== at));
  // Rows that did not change are not drawn again: what they do is looked up when it is done.
  const latest = useRef({ type, swap, turn, begin, leave });
  useEffect(() => {
    latest.current = { type, swap, turn, begin, leave };
  });
  const [does] = useState<LineDoes>(() => ({
    begin: () => latest.current.begin(),
    type: (at, parts) => latest.current.type(at, parts),
    move: (at, to) => latest.current.swap(at, to),
    turn: (at, to) => latest.current.turn(at, to),
    leave: (at) => latest.current.leave(at),
  }));
  return {
    does,
    hold,
    setHold,
    refused,
    add: (materialId: string) => putMaterials([...lines, { materialId, parts: 1 }]),
  };
}
