import type { CastEventTold, Without } from '@dewpot/contract';
import { Button, type ButtonStyle } from '../button';
import type { ActionProps } from './action-props';

type Happened = Without<CastEventTold, 'id' | 'at'>;

/** The large control that records the same event for every cast of the sheet. */
export function DoneButton({
  casts,
  busy,
  record,
  event,
  said,
  children,
  disabled = false,
  look = 'main',
  size = 'bench',
}: Omit<ActionProps, 'due'> & {
  event: Happened;
  /** What is said once it is recorded. */
  said: string;
  children: React.ReactNode;
  disabled?: boolean;
} & Pick<ButtonStyle, 'look' | 'size'>) {
  return (
    <Button
      look={look}
      size={size}
      disabled={busy || disabled}
      className={`w-full ${size === 'bench' ? 'text-lg' : ''}`}
      onClick={() =>
        record(
          said,
          casts.map((cast) => ({ cast, event })),
        )
      }
    >
      {children}
    </Button>
  );
}
