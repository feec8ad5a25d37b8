import { useEffect } from 'react';
import { createRoot } from 'react-dom/client';
import { toast, Toaster } from 'sonner';
import { useSay } from './say';

/** Calls back once it stands: the toaster's own effects, which listen for words, run before. */
function Standing({ onShown }: { onShown: () => void }) {
  useEffect(onShown, [onShown]);
  const say = useSay();
  return (
    <Toaster
      position="bottom-center"
      closeButton
      containerAriaLabel={say('ui.notices')}
      toastOptions={{ className: 'toast-slab', closeButtonAriaLabel: say('ui.closeNotice') }}
    />
  );
}

/** What says words on the toaster, once that stands. It stands beside the application, whatever screen is shown. */
export const shown = new Promise<typeof toast>((done) => {
  const place = document.body.appendChild(document.createElement('div'));
  createRoot(place).render(<Standing onShown={() => done(toast)} />);
});
