import { identity, msg } from '@dewpot/core/units';
import type { ImportView } from '@dewpot/contract';
import { Button } from './button';
import { Dialog } from './dialog';
import { Failure } from './states';
import { useSay } from './say';

const does = { new: msg('ui.doesNew'), changed: msg('ui.doesChanged'), same: msg('ui.staysAsIs') } as const;

/** What a file would change, before anything is. */
export function WhatChanges({
  view: { things },
  busy,
  error,
  onTake,
  onClose,
}: {
  view: ImportView;
  busy: boolean;
  error: unknown;
  onTake: () => void;
  onClose: () => void;
}) {
  const say = useSay();
  const changing = things.filter((one) => one.does !== 'same');
  return (
    <Dialog title={say('ui.whatFileChanges')} onClose={onClose}>
      <ul className="divide-base-300 max-h-96 divide-y overflow-y-auto">
        {things.map(({ kind, name, does: what, differences }) => (
          <li key={`${kind} ${name}`} className="py-1.5">
            <strong>{name}</strong> <span className="quiet">{kind},</span> {say(does[what])}
            <ul className="text-sm">
              {differences.map(({ what: field, before, after }) => (
                <li key={identity(field)}>
                  {say.value(field)}: {say(before)} → <strong>{say(after)}</strong>
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
      <Failure error={error} />
      <Button look="main" size="tall" className="mt-3 w-full" disabled={busy || changing.length === 0} onClick={onTake}>
        {changing.length === 0
          ? say('ui.nothingChanges')
          : busy
            ? say('ui.takingIn')
            : say('ui.takeIn', { changing: changing.length })}
      </Button>
    </Dialog>
  );
}
