import { lazy, type ComponentType } from 'react';

/** A part that failed is asked for again by whoever comes so much later, ms; before that it is what was drawn that draws again. */
const AGAIN_AFTER = 1000;

/** A part that is fetched when it is first shown. One that could not be fetched, as without a connection, is asked for again the next time. */
export function retried(fetch: () => Promise<{ default: ComponentType }>): ComponentType {
  let failedAt: number | undefined;
  const fetched = (): ComponentType =>
    lazy(() =>
      fetch().catch((error: unknown) => {
        failedAt = Date.now();
        throw error;
      }),
    );
  let Part = fetched();
  return function Retried() {
    if (failedAt !== undefined && Date.now() - failedAt > AGAIN_AFTER) {
      failedAt = undefined;
      Part = fetched();
    }
    return <Part />;
  };
}
