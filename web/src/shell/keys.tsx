import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { Dialog } from '../ui/dialog';
import { isTyping } from '../ui/is-typing';
import { stations } from './stations';

/** The number keys reach the stations; ? lists the keys. */
export function Keys() {
  const navigate = useNavigate();
  const [help, setHelp] = useState(false);
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      const station = stations[Number(event.key) - 1];
      if (event.key === '?') setHelp(true);
      else if (station) void navigate(station.path);
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [navigate]);
  if (!help) return null;
  return (
    <Dialog title="Keyboard shortcuts" onClose={() => setHelp(false)}>
      <dl className="grid grid-cols-[3rem_1fr] gap-y-2">
        {stations.map(({ name }, i) => (
          <div key={name} className="contents">
            <dt>
              <kbd className="kbd">{i + 1}</kbd>
            </dt>
            <dd>{name}</dd>
          </div>
        ))}
        <dt>
          <kbd className="kbd">/</kbd>
        </dt>
        <dd>search</dd>
        <dt>
          <kbd className="kbd">?</kbd>
        </dt>
        <dd>this list</dd>
        <dt>
          <kbd className="kbd">↑ ↓</kbd>
        </dt>
        <dd>move the fill line of a mould, when it has the focus</dd>
      </dl>
    </Dialog>
  );
}
