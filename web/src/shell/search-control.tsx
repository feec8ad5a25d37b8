import { lazy, Suspense, useEffect, useState } from 'react';
import { Search } from 'lucide-react';
import { isTyping } from '../ui/is-typing';
import { Button } from '../ui/button';
import { useSay } from '../ui/say';

const SearchDialog = lazy(async () => ({ default: (await import('./search-dialog')).SearchDialog }));

/** Opens the search: the control, or the key /. */
export function SearchControl() {
  const say = useSay();
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.key !== '/' || event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      event.preventDefault();
      setOpen(true);
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, []);
  return (
    <>
      <Button
        look="plain"
        size="own"
        className="h-11 w-11 p-0"
        aria-label={say('shell.search')}
        title={say('shell.keySlash')}
        onClick={() => setOpen(true)}
      >
        <Search size={20} aria-hidden="true" />
      </Button>
      {open && (
        <Suspense>
          <SearchDialog onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
