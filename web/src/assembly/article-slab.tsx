import { bonds } from '@dewpot/core/assembly';
import type { CastDetail } from '@dewpot/contract';
import { Link, useNavigate } from 'react-router';
import { Button, buttonClass } from '../ui/button';
import { toast } from '../ui/toast';
import { useTakeApart } from '../api/finish';
import { Failure } from '../ui/states';
import { useUnits } from '../ui/units';
import { useSay } from '../ui/say';
import { OrderAgain } from './order-again';

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
        {say('assembly.assembleWithOthers')}
      </Link>
    ) : null;
  const { length, width, height } = article.size;
  return (
    <section className="card-slab" aria-label={say('assembly.assembledFrom')}>
      <h2 className="mb-2 text-xl">{say('assembly.assembledFrom')}</h2>
      <ol className="space-y-1">
        {article.parts.map(({ castId, code, name, over }) => (
          <li key={castId}>
            <Link className="link" to={`/casts/${castId}`}>
              {code}
            </Link>{' '}
            {over ? say('assembly.partOnHead', { name }) : name}
          </li>
        ))}
      </ol>
      <p className="quiet mt-2 text-sm">
        {say('assembly.articleTold', {
          name: say(bonds[article.bond].name),
          length: units.say(length, 'mm'),
          width: units.say(width, 'mm'),
          height: units.say(height, 'mm'),
        })}
      </p>
      <OrderAgain article={article} />
      {stage === 'setting' && (
        <Button
          needs="caster"
          look="plain"
          className="mt-2 w-full"
          disabled={apart.isPending}
          onClick={() =>
            apart.mutate(id, {
              onSuccess: () => {
                toast(say('assembly.takenApart'));
                void navigate('/');
              },
            })
          }
        >
          {say('assembly.takeApart')}
        </Button>
      )}
      <Failure error={apart.error} />
    </section>
  );
}
