import { useState } from 'react';
import { Link } from 'react-router';
import { Dialog } from './dialog';
import { terms, type TermKey } from './terms';
import { useSay } from './say';

/** A word of the trade that tells what it means when it is pressed. */
export function TermLink({ of, children }: { of: TermKey; children: string }) {
  const say = useSay();
  const [open, setOpen] = useState(false);
  const { name, meaning, use } = terms[of];
  return (
    <>
      <button
        type="button"
        className="cursor-help text-left underline decoration-dotted underline-offset-4"
        aria-haspopup="dialog"
        onClick={() => setOpen(true)}
      >
        {children}
      </button>
      {open && (
        <Dialog title={say(name)} onClose={() => setOpen(false)}>
          <p>{say(meaning)}</p>
          <p className="mt-2">{say(use)}</p>
          <p className="mt-4">
            <Link className="link" to="/glossary" onClick={() => setOpen(false)}>
              {say('ui.allWords')}
            </Link>
          </p>
        </Dialog>
      )}
    </>
  );
}
