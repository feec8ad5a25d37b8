import { msg, type Message } from '@dewpot/core/units';
import { useGoToWorkshop, useOwnWorkshops } from '../api/own-workshops';
import { useSession, useSignOut } from '../api/session';
import { Button, buttonClass } from '../ui/button';
import { useSay } from '../ui/say';
import { Failure } from '../ui/states';
import { useTheme, type Theme } from './theme';

const themeWords: Record<Theme, Message> = {
  system: msg('shell.themeSystem'),
  limewash: msg('shell.themeLight'),
  lamplight: msg('shell.themeDark'),
};

/** The person: how they see it, their other workshops, and the way out. */
export function PersonMenu() {
  const say = useSay();
  const { person } = useSession();
  const signOut = useSignOut();
  const [theme, setTheme] = useTheme();
  return (
    <details className="dropdown dropdown-end">
      <summary className={buttonClass({ look: 'plain', size: 'own', className: 'h-10 min-h-10 px-2 font-normal' })}>
        {person.name}
      </summary>
      <div className="dropdown-content bg-base-100 border-base-300 z-20 mt-1 w-56 space-y-2 border p-3 shadow-lg">
        <label className="block text-sm">
          {say('shell.theme')}
          <select
            className="select select-bordered mt-1 w-full"
            value={theme}
            onChange={(event) => setTheme(event.target.value as Theme)}
          >
            {(Object.keys(themeWords) as Theme[]).map((one) => (
              <option key={one} value={one}>
                {say(themeWords[one])}
              </option>
            ))}
          </select>
        </label>
        <OtherWorkshops />
        <Button size="own" className="w-full" onClick={() => signOut.mutate()}>
          {say('shell.signOut')}
        </Button>
      </div>
    </details>
  );
}

function OtherWorkshops() {
  const say = useSay();
  const others = useOwnWorkshops().data?.filter(({ current }) => !current) ?? [];
  const { go, held, unsent, error } = useGoToWorkshop();
  if (others.length === 0) return null;
  return (
    <div className="space-y-1">
      {others.map(({ id, name }) => (
        <Button
          key={id}
          size="own"
          className="block w-full truncate"
          title={name}
          disabled={held}
          onClick={() => go(id)}
        >
          {say('shell.goToWorkshop', { name })}
        </Button>
      ))}
      {unsent > 0 && <p className="text-sm">{say('shell.sendFirst', { unsent })}</p>}
      <Failure error={error} />
    </div>
  );
}
