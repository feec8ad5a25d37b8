import { useState } from 'react';
import { Choice } from '../ui/choice';
import type { ActionProps } from '../ui/casts/action-props';
import { DoneButton } from '../ui/casts/done-button';
import { useSay } from '../ui/say';

/** A core that is out: turned, drawn, plucked. */
export function RemoveCoreForm({ casts, due, busy, record }: ActionProps) {
  const say = useSay();
  const dues = casts.flatMap((cast) => cast.dues.filter(({ task }) => task === 'remove-core'));
  const names = [...new Set(dues.flatMap(({ core }) => core ?? []))];
  const [core, setCore] = useState(due?.core ?? names[0]);
  const how = dues.find((one) => one.core === core)?.told;
  if (!core) return <p>{say('curing.allCoresOut')}</p>;
  return (
    <div className="space-y-4">
      {names.length > 1 && (
        <Choice
          legend={say('curing.whichCore')}
          options={names.map((value) => ({ value, label: value }))}
          value={core}
          onChange={setCore}
        />
      )}
      <p>{say('curing.coreTooEarly', { core, which: how ? say.value(how) : say('today.turnAndDraw') })}</p>
      <DoneButton
        casts={casts.filter(({ life }) => !life.pulled?.includes(core))}
        busy={busy}
        record={record}
        said={say('curing.coreOutSaid', { core })}
        event={{ type: 'pulled', core }}
      >
        {say('curing.coreOut', { core })}
      </DoneButton>
    </div>
  );
}
