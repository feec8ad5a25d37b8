import { useSyncExternalStore } from 'react';

/** From this width on choices stand beside what they change. */
const WIDE = '(min-width: 1024px)';

const watch = (changed: () => void) => {
  const query = window.matchMedia?.(WIDE);
  query?.addEventListener('change', changed);
  return () => query?.removeEventListener('change', changed);
};

/** Whether the window is wide enough for two columns. */
export const useWide = (): boolean => useSyncExternalStore(watch, () => window.matchMedia?.(WIDE).matches ?? true);
