import type { ExternalToast } from 'sonner';

/** Fetches what shows words at the foot of the screen, where it is not there yet: no screen waits for it. */
export const fetchToaster = () => import('./toaster');
type Toast = Awaited<Awaited<ReturnType<typeof fetchToaster>>['shown']>;

const saying =
  (how: (toast: Toast) => (words: string, options?: ExternalToast) => unknown) =>
  (words: string, options?: ExternalToast): void =>
    void fetchToaster()
      .then(({ shown }) => shown)
      .then((toast) => how(toast)(words, options));

/** Says something at the foot of the screen for a while. */
export const toast = Object.assign(
  saying((to) => to),
  { success: saying((to) => to.success), error: saying((to) => to.error) },
);
