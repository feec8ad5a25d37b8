import { blanks } from '@dewpot/core/moulds';
import { setsInMinutes } from '@dewpot/core/binders';
import type { PourPlan } from '@dewpot/core/pours';
import type { PourInput } from '@dewpot/contract';

const unique = (names: readonly string[]) => [...new Set(names)];

/** What to have in reach before a pour begins. */
export function thingsToLayOut(plans: readonly PourPlan[], { cover }: Pick<PourInput, 'cover'>): string[] {
  const items = plans.flatMap((plan) => plan.items);
  const materials = plans.flatMap(({ mix }) => [...mix.lines, ...(mix.doses ?? [])].map(({ material }) => material.name)); // prettier-ignore
  const quick = plans.some(({ binderClass }) => setsInMinutes(binderClass));
  return [
    'Respirator, gloves, goggles',
    ...items.map(({ count, name }) => `${count} × ${name}`),
    ...(items.some(({ shape }) => blanks(shape).length > 0) ? ['Cores and plugs, and what weights them'] : []),
    ...items.flatMap(({ inset }) => (inset ? [`“${inset.name}” and its template`] : [])),
    ...(items.some(({ mesh }) => mesh) ? ['The mesh, cut'] : []),
    ...unique(materials),
    unique([
      ...plans.flatMap(({ scoop, scoops = [] }) => [scoop, ...scoops].flatMap((one) => (one ? [one.name] : []))),
      'the scale',
      'a jug of water',
    ]).join(', '),
    quick ? 'The bucket, clean and dry, and a stop-watch eye' : 'The bucket, wetted and wiped out',
    ...(items.some(({ piece }) => piece === 'slab') ? ['Straight edge, float, edger'] : []),
    cover && cover !== 'none' ? `To cover them: ${cover}` : 'Something to cover them with',
  ];
}
