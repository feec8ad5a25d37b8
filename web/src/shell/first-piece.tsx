import { Check, X } from 'lucide-react';
import { msg } from '@dewpot/core/units';
import { useQuery } from '@tanstack/react-query';
import { Link, useLocation } from 'react-router';
import { mixesQuery } from '../api/mixes';
import { mouldsQuery } from '../api/moulds';
import { buttonClass } from '../ui/button';
import { endFirstPiece } from '../ui/first-piece';
import { IconButton } from '../ui/icon-button';
import { useSay } from '../ui/say';

const steps = [
  { path: '/moulds/new', name: msg('workshop.stepMould'), how: msg('workshop.stepMouldHow') },
  { path: '/mixes/new', name: msg('workshop.stepMix'), how: msg('workshop.stepMixHow') },
  { path: '/pours/new', name: msg('workshop.stepSheet'), how: msg('workshop.stepSheetHow') },
];

/** Leads from the tape measure to the first mixing sheet, over the real screens: what is done, what comes next, and how. */
export function FirstPiece() {
  const say = useSay();
  const { pathname } = useLocation();
  const [moulds, mixes] = [useQuery(mouldsQuery).data, useQuery(mixesQuery).data];
  if (!moulds || !mixes) return null;
  const done = [moulds.length > 0, mixes.length > 0, false];
  const at = done.indexOf(false);
  const next = steps[at];
  return (
    <section className="no-print mx-auto max-w-7xl px-4 pt-3" aria-label={say('workshop.firstPiece')}>
      <div className="border-secondary bg-base-100 flex flex-wrap items-center gap-x-4 gap-y-2 border-l-4 p-3">
        <ol className="flex flex-wrap gap-x-4 gap-y-1 text-sm">
          {steps.map(({ path, name }, i) => (
            <li
              key={path}
              aria-current={i === at ? 'step' : undefined}
              className={`flex items-center gap-1 ${i === at ? 'font-bold' : 'quiet'}`}
            >
              {done[i] ? <Check size={16} aria-label={say('bench.done')} /> : <span>{i + 1}</span>} {say(name)}
            </li>
          ))}
        </ol>
        {next && <p className="min-w-52 flex-1 text-sm">{say(next.how)}</p>}
        {next && !pathname.startsWith(next.path) && (
          <Link to={next.path} className={buttonClass({ look: 'second', size: 'low' })}>
            {say(next.name)}
          </Link>
        )}
        <IconButton label={say('workshop.leaveGuide')} icon={X} onClick={endFirstPiece} />
      </div>
    </section>
  );
}
