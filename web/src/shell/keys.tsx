import { useEffect, useState } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { identity } from '@dewpot/core/units';
import { Dialog } from '../ui/dialog';
import { chapterAt } from '../ui/guide-places';
import { isTyping } from '../ui/is-typing';
import { keysAt } from './screen-keys';
import { DIGITS, stations } from './stations';
import { useSay } from '../ui/say';

/** The number keys reach the stations; ? lists the keys. */
export function Keys() {
  const say = useSay();
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const [help, setHelp] = useState(false);
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      // 0 stands after 9, as on the keyboard.
      const station = /^\d$/.test(event.key) ? stations[(Number(event.key) + 9) % 10] : undefined;
      if (event.key === '?') setHelp(true);
      else if (station) void navigate(station.path);
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [navigate]);
  if (!help) return null;
  return (
    <Dialog title={say('shell.keys')} onClose={() => setHelp(false)}>
      <dl className="grid grid-cols-[6.5rem_1fr] gap-y-2">
        {stations.slice(0, DIGITS).map(({ name }, i) => (
          <div key={identity(name)} className="contents">
            <dt>
              <kbd className="kbd">{(i + 1) % 10}</kbd>
            </dt>
            <dd>{say(name)}</dd>
          </div>
        ))}
        <dt>
          <kbd className="kbd">/</kbd>
        </dt>
        <dd>{say('shell.keySearch')}</dd>
        <dt>
          <kbd className="kbd">?</kbd>
        </dt>
        <dd>{say('shell.keyList')}</dd>
        {keysAt(pathname).map(({ keys, does }) => (
          <div key={identity(does)} className="contents">
            <dt className="flex flex-wrap gap-1">
              {keys.map((key) => (
                <kbd key={key} className="kbd">
                  {key}
                </kbd>
              ))}
            </dt>
            <dd>{say(does)}</dd>
          </div>
        ))}
      </dl>
      <Link className="link mt-4 inline-block" to={`/guide/${chapterAt(pathname)}`} onClick={() => setHelp(false)}>
        {say('shell.guideHere')}
      </Link>
    </Dialog>
  );
}
