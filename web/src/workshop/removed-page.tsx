import { useSignOut, useSession } from '../api/session';
import { useRecallWorkshop } from '../api/own-workshops';
import { Button } from '../ui/button';
import { exactTime } from '../ui/format-time';
import { useSay } from '../ui/say';
import { Failure } from '../ui/states';
import { ArchiveOut } from './archive-out';
import { OwnWorkshops } from './own-workshops';

/** In place of every screen of a workshop that was deleted. */
export function RemovedPage({ goneAt }: { goneAt: number }) {
  const say = useSay();
  const { person, workshop } = useSession();
  const owner = person.role === 'owner';
  const recall = useRecallWorkshop();
  const signOut = useSignOut();
  return (
    <main className="mx-auto max-w-xl space-y-4 p-4 pt-10">
      <section className="card-slab space-y-3">
        <h1 className="text-3xl break-words">{say('workshop.wasRemoved', { name: workshop.name })}</h1>
        <p>{say(owner ? 'workshop.untilGone' : 'workshop.untilGoneAsk', { date: exactTime(goneAt) })}</p>
        <Failure error={recall.error ?? signOut.error} />
        <div className="flex flex-wrap gap-2">
          {owner && (
            <Button look="main" disabled={recall.isPending} onClick={() => recall.mutate(undefined)}>
              {say('workshop.bringBack')}
            </Button>
          )}
          <Button disabled={signOut.isPending} onClick={() => signOut.mutate()}>
            {say('shell.signOut')}
          </Button>
        </div>
      </section>
      {owner && <ArchiveOut />}
      <OwnWorkshops />
    </main>
  );
}
