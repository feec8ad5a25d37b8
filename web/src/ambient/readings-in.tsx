import { useState } from 'react';
import { defined } from '@dewpot/core/math';
import { InputError, msg, identity } from '@dewpot/core/units';
import { readAmbientCsv, type CsvRead } from '@dewpot/core/ambient';
import type { PlaceView } from '@dewpot/contract';
import { useSendReadings } from '../api/places';
import { useSession } from '../api/session';
import { Button } from '../ui/button';
import { FileButton } from '../ui/file-button';
import { exactTime } from '../ui/format-time';
import { Failure } from '../ui/states';
import { useUnits } from '../ui/units';
import { useSay } from '../ui/say';

const MOST_BYTES = 20_000_000;

/** Readings out of a logger's file: first how it was understood, then in. */
export function ReadingsIn({ place }: { place: PlaceView }) {
  const say = useSay();
  const { workshop } = useSession();
  const units = useUnits();
  const send = useSendReadings();
  const [read, setRead] = useState<CsvRead>();
  const [wrong, setWrong] = useState<Error>();
  const open = async (file: File) => {
    setRead(undefined);
    setWrong(undefined);
    send.reset();
    try {
      if (file.size > MOST_BYTES) throw tooLarge(file);
      const zone = workshop.zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
      setRead(readAmbientCsv(await file.text(), { zone, order: units.system === 'us' ? 'month-first' : 'day-first' }));
    } catch (error) {
      setWrong(error as Error);
    }
  };
  const { readings = [] } = read ?? {};
  return (
    <div className="space-y-2">
      <div className="flex flex-wrap items-center gap-3">
        <FileButton accept=".csv,.txt,text/csv" label={say('ambient.readingsFile')} look="strong" onFile={open}>
          {say('ambient.importReadings')}
        </FileButton>
        <span className="quiet text-sm">{say('ambient.readingsFormat')}</span>
      </div>
      {wrong && <Wrong error={wrong} />}
      {read && (
        <div className="border-secondary border-l-4 pl-3" role="status">
          <p className="font-semibold">
            {say('ambient.readingsFound', { count: readings.length })}
            {readings.length > 0 &&
              `, ${say('ambient.fromTo', { from: exactTime(defined(readings[0]).at), to: exactTime(defined(readings.at(-1)).at) })}`}
          </p>
          {read.notes.map((note) => (
            <p key={identity(note)}>{say(note)}</p>
          ))}
          {read.unread.length > 0 && (
            <p className="text-accent">
              {say('ambient.rowsUnread', {
                count: read.unread.length,
                rows: read.unread
                  .slice(0, 3)
                  .map(({ row, why }) => say('ambient.rowUnread', { row, why }))
                  .join('; '),
              })}
            </p>
          )}
          {send.data ? (
            <p>
              {say('ambient.takenIn', { kept: send.data.kept, twice: send.data.twice, aside: send.data.aside.length })}
            </p>
          ) : (
            <Button
              look="main"
              className="mt-2"
              disabled={send.isPending || readings.length === 0}
              onClick={() => send.mutate({ id: place.id, readings })}
            >
              {send.isPending ? say('ambient.takingIn') : say('ambient.takeInAt', { place: place.name })}
            </Button>
          )}
        </div>
      )}
      <Failure error={send.error} />
    </div>
  );
}

const tooLarge = ({ size }: File) =>
  new InputError([
    {
      field: 'file',
      value: size,
      message: msg('files.size', { size: Math.round(size / 1e6) }),
      remedy: msg('files.cutIntoYears', { most: MOST_BYTES / 1e6 }),
    },
  ]);

function Wrong({ error }: { error: Error }) {
  const say = useSay();
  if (!(error instanceof InputError)) return <Failure error={error} />;
  return (
    <ul role="alert" className="border-error border-l-4 pl-3">
      {error.issues.map(({ message, remedy }) => (
        <li key={identity(message)}>
          {say(message)} <span className="quiet">{say(remedy)}</span>
        </li>
      ))}
    </ul>
  );
}
