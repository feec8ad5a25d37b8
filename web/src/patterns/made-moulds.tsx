import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { mouldsQuery, useSaveMould } from '../api/moulds';
import { Button } from '../ui/button';
import { Failure } from '../ui/states';
import { useSay } from '../ui/say';
import { differs, shapeInput, type PatternEdit } from './use-pattern-edit';

/** The moulds that were made of a pattern; one whose sizes are no longer the pattern’s is asked about. */
export function MadeMoulds({ edit }: { edit: PatternEdit }) {
  const say = useSay();
  const { draft, worked, makeMoulds, making } = edit;
  const moulds = useQuery(mouldsQuery);
  const save = useSaveMould();
  if (!worked || worked.moulds.length === 0) return null;
  const made = draft.moulds.flatMap((id, i) => {
    const [mould, makes] = [moulds.data?.find((one) => one.id === id), worked.moulds[i]];
    return mould && makes ? [{ mould, makes }] : [];
  });
  const change = ({ mould, makes: { shape } }: (typeof made)[number]) => {
    const { id, cycles: _cycles, pictures: _pictures, ...kept } = mould;
    save.mutate({ id, input: { ...kept, shape: shapeInput(shape) } });
  };
  return (
    <section className="card-slab" aria-label={say('patterns.moulds')}>
      <h2 className="text-xl">{say('patterns.moulds')}</h2>
      {made.length === 0 && <p className="quiet text-sm">{say('patterns.mouldsHow', { count: worked.moulds.length })}</p>}
      <ul className="space-y-2">
        {made.map((one) => (
          <li key={one.mould.id}>
            <Link className="link" to={`/moulds/${one.mould.id}`}>
              {one.mould.name}
            </Link>
            {differs(one.makes, one.mould) && (
              <p className="border-warning mt-1 flex flex-wrap items-center gap-2 border-l-4 pl-3 text-sm">
                {say('patterns.mouldDiffers')}
                <Button size="low" onClick={() => change(one)}>
                  {say('patterns.changeMould')}
                </Button>
              </p>
            )}
          </li>
        ))}
      </ul>
      {made.length === 0 && (
        <Button needs="caster" look="main" className="mt-2" disabled={making} onClick={makeMoulds}>
          {say('patterns.makeMoulds', { count: worked.moulds.length })}
        </Button>
      )}
      <Failure error={save.error} />
    </section>
  );
} // prettier-ignore
