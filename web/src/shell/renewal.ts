import { useEffect, useRef } from 'react';
import { useQueryClient } from '@tanstack/react-query';
import { useLocation } from 'react-router';

/** Loads a newer Dew Pot in place of the one that a page is of, at a moment that costs nothing typed. */
export class Renewal {
  private state: 'none' | 'waits' | 'asked' | 'there' = 'none';

  /** `ask` lets the one that waits take charge of every page of this browser, `load` loads this page anew. */
  constructor(
    private readonly ask: () => void,
    private readonly load: () => void,
  ) {}

  /** A newer one was fetched and waits. */
  waits(): void {
    this.state = 'waits';
  }

  /** It took charge: as this page asked for, or as another one did. */
  tookCharge(): void {
    if (this.state === 'asked') this.load();
    else this.state = 'there';
  }

  /** One went to another screen, while so many things are on their way to the server. */
  wentElsewhere(sending: number): void {
    if (sending > 0) return;
    if (this.state === 'there') this.load();
    if (this.state !== 'waits') return;
    this.state = 'asked';
    this.ask();
  }
}

/** Loads a newer Dew Pot with the next screen that one goes to. */
export function useRenewal(renewal: Renewal): void {
  const { pathname } = useLocation();
  const client = useQueryClient();
  const last = useRef(pathname);
  useEffect(() => {
    if (last.current === pathname) return;
    last.current = pathname;
    renewal.wentElsewhere(client.isMutating());
  }, [renewal, client, pathname]);
}
