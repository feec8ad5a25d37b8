import type { CastEventInput } from '@dewpot/contract';
import type { ActionProps } from './action-props';

type Happened = Omit<CastEventInput, 'id' | 'at'>;

/** The large control that records the same event for every cast of the sheet. */
export function DoneButton({
  casts,
  busy,
  record,
  event,
  said,
  children,
  disabled = false,
  look = 'btn-primary h-16 text-lg',
}: Omit<ActionProps, 'due'> & {
  event: Happened;
  /** What is said once it is recorded. */
  said: string;
  children: React.ReactNode;
  disabled?: boolean;
  look?: string;
}) {
  return (
    <button
      type="button"
      disabled={busy || disabled}
      className={`btn w-full ${look}`}
      onClick={() =>
        record(
          said,
          casts.map((cast) => ({ cast, event })),
        )
      }
    >
      {children}
    </button>
  );
}
