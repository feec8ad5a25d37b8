import type { QueryClient, QueryKey } from '@tanstack/react-query';

/**
 * Reads the named answers again after a write. A read that is still under way is given up first: it may have been answered
 * before the write, and a first read would otherwise be taken for the new one.
 */
export async function refresh(client: QueryClient, ...keys: readonly QueryKey[]): Promise<void> {
  await Promise.all(keys.map((queryKey) => client.cancelQueries({ queryKey })));
  await Promise.all(keys.map((queryKey) => client.invalidateQueries({ queryKey })));
}
