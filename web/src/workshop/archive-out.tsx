import { fixed } from '@dewpot/core/units';
import { useQuery } from '@tanstack/react-query';
import { archiveOutlineQuery, useTakeArchive } from '../api/archive';
import { Button } from '../ui/button';
import { saveFile } from '../ui/save-file';
import { useSay } from '../ui/say';
import { Failure } from '../ui/states';
import { TransferBar } from './transfer-bar';

/** The whole workshop out, as one file. */
export function ArchiveOut() {
  const say = useSay();
  const outline = useQuery(archiveOutlineQuery);
  const take = useTakeArchive((file, name) => saveFile(name, file, 'application/zip'));
  const { casts = 0, photos = 0, bytes = 0 } = outline.data ?? {};
  return (
    <section className="card-slab space-y-3" aria-label={say('workshop.takeOut')}>
      <h2 className="text-2xl">{say('workshop.takeOut')}</h2>
      <p className="quiet">{say('workshop.takeOutHow')}</p>
      {outline.data && (
        <p>{say('workshop.archiveHolds', { casts, photos, mb: fixed(Math.max(1, bytes / 2 ** 20), 0) })}</p>
      )}
      {take.running ? (
        <TransferBar label={say('workshop.takingOut')} bytes={take.bytes} all={bytes} onStop={take.stop} />
      ) : (
        <Button look="strong" onClick={() => take.start(undefined)}>
          {say('workshop.takeOutNow')}
        </Button>
      )}
      {take.got && <p role="status">{say('workshop.takenOut', { name: take.got.name })}</p>}
      <p className="quiet text-sm">{say('workshop.archiveCaution')}</p>
      <Failure error={take.error ?? outline.error} />
    </section>
  );
}
