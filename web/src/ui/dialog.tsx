import { useEffect, useRef, type ReactNode } from 'react';
import { X } from 'lucide-react';
import { Button } from './button';
import { useSay, useSentences } from './say';

/** A sheet over the page, `wide` where a picture stands in it. Escape and the cross close it; focus returns to where it was. */
export function Dialog({
  title,
  wide = false,
  onClose,
  children,
}: {
  title: string;
  wide?: boolean;
  onClose: () => void;
  children: ReactNode;
}) {
  const say = useSay();
  const sentences = useSentences();
  const ref = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const dialog = ref.current;
    dialog?.showModal?.();
    return () => dialog?.close?.();
  }, []);
  return (
    <dialog
      ref={ref}
      aria-label={title}
      className="modal modal-bottom sm:modal-middle"
      onCancel={onClose}
      onClose={onClose}
    >
      <div className={`modal-box bg-base-100 max-h-[92vh] ${wide ? 'max-w-5xl' : 'max-w-2xl'}`}>
        <div className="mb-3 flex items-start justify-between gap-4">
          <h2 className="text-2xl">{title}</h2>
          <Button look="plain" className="w-12 p-0" onClick={onClose} aria-label={say('today.close')}>
            <X aria-hidden="true" />
          </Button>
        </div>
        {sentences && children}
      </div>
    </dialog>
  );
}
