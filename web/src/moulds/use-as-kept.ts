import { useMemo } from 'react';
import { mouldIssues } from '@dewpot/core/moulds';
import type { MouldView } from '@dewpot/contract';
import type { MouldDraft } from './draft';
import { useSay } from '../ui/say';

/** A draft as if it were kept, for whoever judges it; undefined while it cannot be cast. */
export function useAsKept(draft: MouldDraft, id: string): MouldView | undefined {
  const say = useSay();
  return useMemo(() => {
    if (mouldIssues(draft.shape).length > 0) return undefined;
    const name = draft.name.trim() || say('moulds.it');
    return { ...draft, name, id, copies: [], pictures: [], cycles: 0 };
  }, [draft, id, say]);
}
