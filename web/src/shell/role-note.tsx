import { useSession } from '../api/session';
import { useSay } from '../ui/say';

/** Whoever may not change everything is told so before they try. */
export function RoleNote() {
  const say = useSay();
  const { role } = useSession().person;
  if (role !== 'guest' && role !== 'helper') return null;
  return (
    <p role="note" className="border-secondary mx-auto mt-3 max-w-7xl border-l-4 px-4 pl-3 text-sm">
      {say('shell.youAreHere', { role })}
    </p>
  );
}
