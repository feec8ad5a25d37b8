import { Link } from 'react-router';
import { History } from 'lucide-react';
import { mayActAs } from '@dewpot/contract/roles';
import { useSession } from '../api/session';
import { buttonClass } from './button';
import { useSay } from './say';

/** Leads to who did what to one thing, for those who may see that. */
export function WhoDidWhat({ record, className = '' }: { record: string; className?: string }) {
  const say = useSay();
  if (!mayActAs(useSession().person.role, 'caster')) return null;
  return (
    <Link
      to={`/workshop/audit?record=${record}`}
      className={buttonClass({ look: 'plain', size: 'own', className })}
      aria-label={say('ui.whoDidWhat')}
      title={say('ui.whoDidWhat')}
    >
      <History size={20} aria-hidden="true" />
    </Link>
  );
}
