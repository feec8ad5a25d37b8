import { useState, type ReactNode } from 'react';
import type { ArchiveReport } from '@dewpot/contract';
import { useCheckArchive, useReadArchive } from '../api/archive';
import { Button } from '../ui/button';
import { FileButton } from '../ui/file-button';
import { exactTime } from '../ui/format-time';
import { useSay } from '../ui/say';
import { Failure } from '../ui/states';
import { TransferBar } from './transfer-bar';

/** An archive in: first what it would do, then the doing. */
export function ArchiveIn() {
  const say = useSay();
  const [file, setFile] = useState<File>();
  const check = useCheckArchive();
  const read = useReadArchive();
  const running = [check, read].find((one) => one.running);
  const report = read.got ?? check.got;
  const choose = async (chosen: File) => {
    read.reset();
    setFile(chosen);
    check.start(chosen);
    return Promise.resolve();
  };
  return (
    <section className="card-slab space-y-3" aria-label={say('workshop.readIn')}>
      <h2 className="text-2xl">{say('workshop.readIn')}</h2>
      <p className="quiet">{say('workshop.readInHow')}</p>
      {running && file ? (
        <TransferBar label={say(running.bytes < file.size ? 'workshop.sendingArchive' : 'workshop.readingArchive')} bytes={running.bytes} all={file.size} onStop={running.stop} />
      ) : (
        <FileButton label={say('workshop.readIn')} accept=".zip,application/zip" onFile={choose}>
          {say('workshop.chooseArchive')}
        </FileButton>
      )}
      {!running && file && report && (
        <Report report={report}>
          {!report.done && (
            <div className="flex flex-wrap gap-2">
              <Button look="main" onClick={() => read.start(file)}>
                {say('workshop.readInNow')}
              </Button>
              <Button onClick={check.reset}>{say('workshop.leaveIt')}</Button>
            </div>
          )}
        </Report>
      )}
      <Failure error={check.error ?? read.error} />
    </section>
  );
} // prettier-ignore

function Report({ report: { done, workshop, madeAt, into, shift, tables }, children }: { report: ArchiveReport; children: ReactNode }) {
  const say = useSay();
  const told = tables.filter(({ table }) => table !== 'workshop');
  return (
    <div role="status" className="space-y-3">
      <p className="font-semibold">{say(done ? 'workshop.wasReadIn' : 'workshop.archiveOf', { workshop, at: exactTime(madeAt) })}</p>
      <p>{say('workshop.archiveInto', { into })}</p>
      {shift > 0 && <p>{say('workshop.archiveShift', { first: shift + 1 })}</p>}
      {children}
      <div className="overflow-x-auto">
        <table className="table-sm table">
          <thead>
            <tr>
              <th scope="col">{say('workshop.archiveWhat')}</th>
              <th scope="col" className="text-right">{say('workshop.archiveRows')}</th>
              <th scope="col" className="text-right">{say(done ? 'workshop.archiveAdded' : 'workshop.archiveNew')}</th>
              <th scope="col" className="text-right">{say('workshop.archiveThere')}</th>
            </tr>
          </thead>
          <tbody>
            {told.map(({ table, rows, added, there }) => (
              <tr key={table}>
                <th scope="row" className="font-normal">{say('workshop.archiveTable', { table })}</th>
                {[rows, added, there].map((count, i) => (
                  <td key={i} className="text-right tabular-nums">{say('workshop.count', { count })}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </div>
  );
} // prettier-ignore
