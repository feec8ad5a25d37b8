import { defined } from '@dewpot/core/math';
import { releaseCalled } from '@dewpot/core/moulds';
import type { PlanChange, PourFinding } from '@dewpot/core/judging';
import type { PourPart } from '@dewpot/core/planning';
import type { PourInput } from '@dewpot/contract';
import { usePutAside, useTakeAside } from '../api/findings-aside';
import { Findings, type AsideWays } from '../judging';
import type { JudgedPlan } from '../workers/judge-plan';
import { Failure } from '../ui/states';
import { measuredBefore } from './plan';
import type { ChoicesProps } from './pour-choices';
import { releaseNames } from '../ui/word-names';

const MOST_PEOPLE = 6;

/** What of a plan a remedy changes. */
function changed(input: PourInput, change: PlanChange, at: number | undefined): Partial<PourInput> {
  if ('grade' in change) return { grade: change.grade };
  if ('release' in change)
    return { release: defined(Object.keys(releaseNames).find((word) => releaseCalled(word) === change.release)) };
  if ('people' in change) return { people: Math.min(MOST_PEOPLE, (input.people ?? 1) + 1) };
  if ('mesh' in change)
    return { items: input.items.map((item, i) => (i === at || at === undefined ? { ...item, mesh: false } : item)) };
  return {};
}

/** What speaks against one mix of a plan; a tap changes the plan, and a reason puts a finding aside. */
export function PlanFindings({
  input,
  sources,
  part,
  judged,
  onChange,
}: ChoicesProps & { part: PourPart; judged: JudgedPlan }) {
  const put = usePutAside();
  const take = useTakeAside();
  const { mixId } = part;
  const own = input.aside ?? [];
  const mouldOf = ({ item = 0 }: PourFinding) => defined(part.plan.items[item]).mouldId;
  const aside: AsideWays = {
    once: true,
    put: (finding, reason, lasting) => {
      const one = { key: finding.key, mouldId: mouldOf(finding), reason };
      if (lasting) put.mutate({ ...one, mixId });
      else onChange({ aside: [...own, one] });
    },
    take: (finding) => {
      const mouldId = mouldOf(finding);
      const isIt = (one: { key: string; mouldId: string }) => one.key === finding.key && one.mouldId === mouldId;
      if (own.some(isIt)) onChange({ aside: own.filter((one) => !isIt(one)) });
      else take.mutate({ key: finding.key, mouldId, mixId });
    },
  };
  const toMix = (id: string) => {
    const mix = defined(sources.mixes.find((one) => one.id === id));
    if (mixId !== input.mixId)
      return onChange({
        items: input.items.map((item) => (item.mixId === mixId ? { ...item, mixId: id } : item)),
      });
    onChange({ mixId: id, grade: mix.grade, moisture: {}, measuring: measuredBefore(id, sources) });
  };
  return (
    <>
      <Findings
        judged={judged}
        aside={aside}
        onMix={toMix}
        onChange={(change, { item }) =>
          onChange(changed(input, change, item === undefined ? undefined : part.items[item]))
        }
      />
      <Failure error={put.error ?? take.error} />
    </>
  );
}
