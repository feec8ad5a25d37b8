import { bonds } from '@dewpot/core/assembly';
import type { CastDetail } from '@dewpot/contract';
import { Link, useNavigate } from 'react-router';
import { Button, buttonClass } from '../ui/button';
import { toast } from '../ui/toast';
import { useTakeApart } from '../api/finish';
import { Failure } from '../ui/states';
import { useUnits } from '../ui/units';
import { useSay } from '../ui/say';

/** What an article is joined of, from the ground up; of a single cast the way to join it. */
export function ArticleSlab({ cast: { id, stage, snapshot } }: { cast: CastDetail }) {
  const say = useSay();
  const units = useUnits();
  const navigate = useNavigate();
  const apart = useTakeApart();
  const { article } = snapshot;
  if (!article)
    return stage === 'curing' || stage === 'drying' ? (
      <Link to={`/casts/join?with=${id}`} className={buttonClass({ className: 'w-full' })}>
        Assemble it with others
      </Link>
    ) : null;
  const { length, width, height } = article.size;
  return (
    <section className="card-slab" aria-label="Assembled from">
      <h2 className="mb-2 text-xl">Assembled from</h2>
      <ol className="space-y-1">
        {article.parts.map(({ castId, code, name, over }) => (
          <li key={castId}>
            <Link className="link" to={`/casts/${castId}`}>
              {code}
            </Link>{' '}
            {name}
            {over && ', on its head'}
          </li>
        ))}
      </ol>
      <p className="quiet mt-2 text-sm">
        {say(bonds[article.bond].name)}; {units.say(length, 'mm')} × {units.say(width, 'mm')}, {units.say(height, 'mm')}{' '}
        high.
      </p>
      {stage === 'setting' && (
        <Button
          look="plain"
          className="mt-2 w-full"
          disabled={apart.isPending}
          onClick={() =>
            apart.mutate(id, {
              onSuccess: () => {
                toast('Taken apart: the parts are on the shelf again.');
                void navigate('/');
              },
            })
          }
        >
          Take it apart again
        </Button>
      )}
      <Failure error={apart.error} />
    </section>
  );
}
