import type { FormEvent, ReactNode } from 'react';
import { Button } from './button';
import { Dialog } from './dialog';
import { useMay } from './for-role';
import { Failure } from './states';
import { useSay } from './say';

/** A sheet with a form on it. It stays open, with what was typed, until the save is through. */
export function EditDialog({
  title,
  busy,
  disabled = false,
  error,
  onSave,
  onRemove,
  onClose,
  children,
}: {
  title: string;
  busy: boolean;
  /** There is nothing to keep yet. */
  disabled?: boolean;
  error: unknown;
  onSave: () => void;
  onRemove?: (() => void) | undefined;
  onClose: () => void;
  children: ReactNode;
}) {
  const say = useSay();
  const may = useMay('caster');
  const submit = (event: FormEvent) => {
    event.preventDefault();
    onSave();
  };
  return (
    <Dialog title={title} onClose={onClose}>
      <form className="space-y-3" onSubmit={submit} noValidate>
        {children}
        <Failure error={error} />
        {!may && <p className="quiet text-sm">{say('ui.castersSave')}</p>}
        <div className="flex flex-wrap gap-2 pt-1">
          <Button
            needs="caster"
            type="submit"
            look="main"
            size="tall"
            className="flex-1 text-lg"
            disabled={busy || disabled}
          >
            {busy ? say('ui.saving') : say('ui.save')}
          </Button>
          {onRemove && (
            <Button needs="caster" look="plain" size="tall" disabled={busy} onClick={onRemove}>
              {say('ui.delete')}
            </Button>
          )}
        </div>
      </form>
    </Dialog>
  );
}
