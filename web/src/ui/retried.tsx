import { lazy, type ComponentType } from 'react';

/** A part that is fetched when it is first shown. One that could not be fetched, as without a connection, is asked for again the next time. */
export function retried(fetch: () => Promise<{ default: ComponentType }>): ComponentType {
  const fetched = (): ComponentType =>
    lazy(() =>
      fetch().catch((error: unknown) => {
        Part = fetched();
        throw error;
      }),
    );
  let Part = fetched();
  return function Retried() {
    return <Part />;
  };
}
