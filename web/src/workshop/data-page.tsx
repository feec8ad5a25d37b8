import { useSession } from '../api/session';
import { PageHead } from '../ui/page-head';
import { useSay } from '../ui/say';
import { ArchiveIn } from './archive-in';
import { ArchiveOut } from './archive-out';
import { PhotoRoomSlab } from './photo-room-slab';
import { Removal } from './removal';

/** All data of the workshop: out, in, and away. */
export function DataPage() {
  const say = useSay();
  const owner = useSession().person.role === 'owner';
  return (
    <div className="mx-auto max-w-5xl p-4">
      <PageHead title={say('workshop.allData')} />
      {owner ? (
        <div className="grid items-start gap-4 lg:grid-cols-2">
          <div className="min-w-0 space-y-4">
            <ArchiveOut />
            <Removal />
          </div>
          <div className="min-w-0 space-y-4">
            <ArchiveIn />
            <PhotoRoomSlab />
          </div>
        </div>
      ) : (
        <p className="card-slab">{say('workshop.dataForOwners')}</p>
      )}
    </div>
  );
}
