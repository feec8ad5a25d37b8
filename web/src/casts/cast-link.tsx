import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { castQuery } from '../api/casts';
import { useSay } from '../ui/say';

/** A cast by its code, as far as this device has seen it. */
export function CastLink({ id }: { id: string }) {
  const say = useSay();
  const cast = useQuery({ ...castQuery(id), retry: false }).data;
  return (
    <Link className="link font-semibold" to={`/casts/${id}`}>
      {cast ? `${cast.code} ${cast.snapshot.mouldName}` : say('casts.aCast')}
    </Link>
  );
}
