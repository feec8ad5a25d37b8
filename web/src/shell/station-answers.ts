import { useEffect } from 'react';
import { SECOND } from '@dewpot/core/units';
import { useQueryClient } from '@tanstack/react-query';

/** Whoever opened the application has what they came for by then, ms. */
const SETTLED = 8 * SECOND;

/** A device that is carried about has the stations with it, also those that were not opened yet. */
export function StationAnswers() {
  const client = useQueryClient();
  useEffect(() => {
    if (!window.matchMedia?.('(pointer: coarse)').matches) return undefined;
    // What all stations ask by is not wanted before all else stands.
    const fetchAll = () =>
      import('./fetch-stations').then(
        ({ fetchStations }) => fetchStations(client),
        // Without a connection: the next time that this is opened.
        (error: unknown) => reportError(error),
      );
    const settled = setTimeout(() => void fetchAll(), SETTLED);
    return () => clearTimeout(settled);
  }, [client]);
  return null;
}
