import { useState } from 'react';
import { msg } from '@dewpot/core/units';
import type { Role } from '@dewpot/contract';
import { useMakeToken } from '../api/account';
import { Button, buttonClass } from '../ui/button';
import { SelectField } from '../ui/select-field';
import { Failure } from '../ui/states';
import { TextField } from '../ui/text-field';
import { useSay } from '../ui/say';
import { roleOptions } from './role-options';
import { ShownOnce } from './shown-once';

const may = [{ value: 'all', label: msg('workshop.tokenAll') } as const, ...roleOptions];
const ends = [
  { value: 0, label: msg('workshop.tokenUnused') },
  ...[7, 30, 365].map((days) => ({ value: days, label: msg('workshop.tokenAfter', { days }) })),
];

/** A token for a device or a script: what it may do at the most, and how long. It is told once. */
export function TokenForm() {
  const say = useSay();
  const make = useMakeToken();
  const [label, setLabel] = useState('');
  const [nameless, setNameless] = useState(false);
  const [role, setRole] = useState<Role | 'all'>('all');
  const [days, setDays] = useState(0);
  const send = () => {
    setNameless(label.trim() === '');
    if (label.trim() === '') return;
    const limits = { ...(role !== 'all' && { role }), ...(days > 0 && { days }) };
    make.mutate({ label: label.trim(), ...limits }, { onSuccess: () => setLabel('') });
  };
  return (
    <details>
      <summary className={buttonClass()}>{say('workshop.makeTokenHead')}</summary>
      <div className="mt-3 space-y-3">
        <p className="quiet text-sm">{say('workshop.tokenHint')}</p>
        <TextField
          label={say('workshop.whatFor')}
          maxLength={60}
          value={label}
          error={nameless ? say('workshop.sayWhatFor') : undefined}
          onChange={(event) => setLabel(event.target.value)}
        />
        <div className="grid gap-3 sm:grid-cols-2">
          <SelectField label={say('workshop.tokenMay')} options={may} value={role} onChange={setRole} />
          <SelectField label={say('workshop.tokenEnds')} options={ends} value={days} onChange={setDays} />
        </div>
        <Failure error={make.error} />
        <Button look="strong" className="w-full" disabled={make.isPending} onClick={send}>
          {say('workshop.makeToken')}
        </Button>
        {make.data && <ShownOnce label={say('workshop.copyNow')} value={make.data.token} />}
      </div>
    </details>
  );
}
