import { useState } from 'react';
import { Button } from '../ui/button';
import { TextField } from '../ui/text-field';
import { useSay } from '../ui/say';

/** Puts a finding aside with a reason: for this pour alone, or for this mould with this mix. */
export function AsideForm({ once, onPut }: { once: boolean; onPut: (reason: string, lasting: boolean) => void }) {
  const say = useSay();
  const [reason, setReason] = useState('');
  const [missing, setMissing] = useState(false);
  const put = (lasting: boolean) => (reason.trim() ? onPut(reason.trim(), lasting) : setMissing(true));
  return (
    <div className="mt-2 flex flex-wrap items-end gap-2">
      <div className="min-w-60 flex-1">
        <TextField
          label={say('judging.putAsideBecause')}
          value={reason}
          maxLength={300}
          error={missing && !reason.trim() ? say('judging.sayWhy') : undefined}
          onChange={(event) => setReason(event.target.value)}
        />
      </div>
      {once && <Button onClick={() => put(false)}>{say('judging.thisOnce')}</Button>}
      <Button needs="caster" onClick={() => put(true)}>
        {say('judging.forPair')}
      </Button>
    </div>
  );
}
