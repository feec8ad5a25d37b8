import { useRef, type ReactNode } from 'react';
import type { Role } from '@dewpot/contract';
import { Button, type ButtonStyle } from './button';

export interface FileButtonProps extends ButtonStyle {
  /** Who may choose one at the least: nobody else sees it. */
  readonly needs?: Role | undefined;
  /** What stands on the button. */
  readonly children: ReactNode;
  /** What is chosen, for whoever hears it. */
  readonly label: string;
  readonly accept: string;
  /** Which camera a phone opens for it. */
  readonly capture?: 'environment';
  readonly onFile: (file: File) => Promise<void>;
}

/** A button that chooses a file; the same one may be chosen again. */
export function FileButton({ children, label, accept, capture, onFile, ...style }: FileButtonProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button {...style} onClick={() => input.current?.click()}>
        {children}
      </Button>
      <input
        ref={input}
        type="file"
        accept={accept}
        capture={capture}
        className="sr-only"
        tabIndex={-1}
        aria-label={label}
        onChange={({ target }) => {
          const file = target.files?.[0];
          target.value = '';
          if (file) void onFile(file);
        }}
      />
    </>
  );
}
