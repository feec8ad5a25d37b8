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
  if (!core) return <p>Every core of it is out.</p>;
  return (
    <div className="space-y-4">
      {names.length > 1 && (
        <Choice
          legend="Which core?"
          options={names.map((value) => ({ value, label: value }))}
          value={core}
          onChange={setCore}
        />
      )}
      <p>
        {core}: {how ? say.value(how) : 'turn it and draw it'}. If the edge of the hole moves with it, it is too early:
        leave it half an hour.
      </p>
      <DoneButton
        casts={casts.filter(({ life }) => !life.pulled?.includes(core))}
        busy={busy}
        record={record}
        said={`${core} is out.`}
        event={{ type: 'pulled', core }}
      >
        {core} is out
      </DoneButton>
    </div>
  );
}
