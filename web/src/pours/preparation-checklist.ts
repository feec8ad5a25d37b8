import { coverCalled } from '../ui/word-names';
import { distinct, listed, msg, type MessageValue } from '@dewpot/core/units';
import { blanks } from '@dewpot/core/moulds';
import { setsInMinutes } from '@dewpot/core/binders';
import type { PourPlan } from '@dewpot/core/pours';
import type { PourInput } from '@dewpot/contract';

/** What to have in reach before a pour begins. `usual`: what trials have made the workshop's way. */
export function thingsToLayOut(
  plans: readonly PourPlan[],
  { cover }: Pick<PourInput, 'cover'>,
  usual: readonly string[] = [],
): MessageValue[] {
  const items = plans.flatMap((plan) => plan.items);
  const materials = plans.flatMap(({ mix }) => [...mix.lines, ...(mix.doses ?? [])].map(({ material }) => material.name)); // prettier-ignore
  const quick = plans.some(({ binderClass }) => setsInMinutes(binderClass));
  return [
    msg('pours.layRespirator'),
    ...items.map(({ count, name }) => msg('pours.itemCount', { count, name })),
    ...(items.some(({ shape }) => blanks(shape).length > 0) ? [msg('pours.layCores')] : []),
    ...items.flatMap(({ inset }) => (inset ? [msg('pours.layInset', { inset: inset.name })] : [])),
    ...(items.some(({ mesh }) => mesh) ? [msg('pours.layMeshField')] : []),
    ...distinct(materials),
    listed(
      distinct([
        ...plans.flatMap(({ scoop, scoops = [] }) => [scoop, ...scoops].flatMap((one) => (one ? [one.name] : []))),
        msg('pours.layScale'),
        msg('pours.layJug'),
      ]),
    ),
    quick ? msg('pours.layBucketDry') : msg('pours.layBucketWet'),
    ...(items.some(({ piece }) => piece === 'slab') ? [msg('pours.layEdge')] : []),
    ...usual,
    cover && cover !== 'none' ? msg('pours.layCover', { cover: coverCalled(cover) }) : msg('pours.layCoverAny'),
  ];
}
