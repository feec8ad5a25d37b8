import type { PourInput } from '@dewpot/contract';
import { Choice } from '../ui/choice';
import type { PlanSources } from './plan';
import { useSay } from '../ui/say';

/** Which of a pour's items is meant; nothing where it has but one. */
export function ItemChoice({
  legend,
  items,
  moulds,
  value,
  onChange,
}: {
  legend: string;
  items: PourInput['items'];
  moulds: PlanSources['moulds'];
  value: number;
  onChange: (at: number) => void;
}) {
  const say = useSay();
  if (items.length < 2) return null;
  const options = items.map(({ mouldId }, at) => ({
    value: at,
    label: moulds.find(({ id }) => id === mouldId)?.name ?? say('mixes.gone'),
  }));
  return <Choice legend={legend} value={value} options={options} onChange={onChange} />;
}
