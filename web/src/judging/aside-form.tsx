import { useState } from 'react';
import { Button } from '../ui/button';
import { TextField } from '../ui/text-field';

/** Puts a finding aside with a reason: for this pour alone, or for this mould with this mix. */
export function AsideForm({ once, onPut }: { once: boolean; onPut: (reason: string, lasting: boolean) => void }) {
  const [reason, setReason] = useState('');
  const [missing, setMissing] = useState(false);
  const put = (lasting: boolean) => (reason.trim() ? onPut(reason.trim(), lasting) : setMissing(true));
  return (
    <div className="mt-2 flex flex-wrap items-end gap-2">
      <div className="min-w-60 flex-1">
        <TextField
          label="Put it aside, because"
          value={reason}
          maxLength={300}
          error={missing && !reason.trim() ? 'Say why, such as “I clamp it down”.' : undefined}
          onChange={(event) => setReason(event.target.value)}
        />
      </div>
      {once && <Button onClick={() => put(false)}>This once</Button>}
      <Button onClick={() => put(true)}>For this mould and mix</Button>
    </div>
  );
}
