import { lazy, type ComponentType } from 'react';

/** A part that failed is asked for again by whoever comes so much later, ms; before that it is what was drawn that draws again. */
const AGAIN_AFTER = 1000;

/** A part that is fetched apart from what shows it. */
export type Retried<Props extends object> = ComponentType<Props> & {
  /** Fetches it before it is shown, so that it stands at once; one that cannot be fetched is asked for again when it is shown. */
  readonly ahead: () => Promise<void>;
};

/** A part that is fetched when it is first shown. One that could not be fetched, as without a connection, is asked for again the next time. */
export function retried<Props extends object = object>(
  fetch: () => Promise<{ default: ComponentType<Props> }>,
): Retried<Props> {
  let failedAt: number | undefined;
  let drawn = false;
  const fetched = (): ComponentType<Props> =>
    lazy(() =>
      fetch().catch((error: unknown) => {
        failedAt = Date.now();
        throw error;
      }),
    );
  let Part = fetched();
  async function ahead(): Promise<void> {
    const part = await fetch().catch(() => undefined);
    // What stands already stays as it is.
    if (part && !drawn) Part = part.default;
  }
  function Retried(props: Props) {
    drawn = true;
    if (failedAt !== undefined && Date.now() - failedAt > AGAIN_AFTER) {
      failedAt = undefined;
      Part = fetched();
    }
    return <Part {...props} />;
  }
  return Object.assign(Retried, { ahead });
}
