import type { ReactNode } from 'react';
import type { Role } from '@dewpot/contract';
import { mayActAs } from '@dewpot/contract/roles';
import { useSession } from '../api/session';

/** Whether the person may do what needs such a role at the least. The server decides; here it is only not offered. */
export const useMay = (least: Role): boolean => mayActAs(useSession().person.role, least);

/** What nobody sees who may not use it. */
export function ForRole({ least, children }: { least: Role; children: ReactNode }) {
  return useMay(least) && children;
}
