import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { castQuery, shelfQuery } from '../api/casts';
import { useSay } from '../ui/say';

/** A cast by its code, as far as this device has seen it. */
export function CastLink({ id }: { id: string }) {
  const say = useSay();
  const detail = useQuery({ ...castQuery(id), retry: false }).data;
  const shelf = useQuery({ ...shelfQuery, enabled: false }).data;
  const cast = detail ?? shelf?.find((one) => one.id === id);
  return (
    <Link className="link font-semibold" to={`/casts/${id}`}>
      {cast ? `${cast.code} ${cast.snapshot.mouldName}` : say('casts.aCast')}
    </Link>
  );
}
