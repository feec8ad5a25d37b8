import { msg, type Message } from '@dewpot/core/units';
import type { TrialView } from '@dewpot/contract';
import { trialWay } from '../ui/trial-words';

/** What a trial says by now, in a sentence. */
export function trialSays({ kind, a, b, standing: { judged } }: Pick<TrialView, 'kind' | 'a' | 'b' | 'standing'>): Message {
  const ways = judged.better === 'a' ? { better: trialWay(kind, a), worse: trialWay(kind, b) } : { better: trialWay(kind, b), worse: trialWay(kind, a) };
  switch (judged.verdict) {
    case 'says':
      return msg('findings.saysBetter', ways);
    case 'leans':
      return msg('findings.leansBetter', ways);
    case 'even':
      return msg('findings.trialEven');
    case 'too-few':
      return msg('findings.trialTooFew');
  }
} // prettier-ignore
