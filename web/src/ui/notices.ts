import { useSyncExternalStore } from 'react';

const KEY = 'dew-pot-notices';
const listeners = new Set<() => void>();

const able = () => 'Notification' in window;

/** Whether this browser tells of what comes due: asked for here, and allowed by the browser. */
export type Notices = 'on' | 'off' | 'refused' | 'impossible';

function noticesNow(): Notices {
  if (!able()) return 'impossible';
  if (Notification.permission === 'denied') return 'refused';
  return Notification.permission === 'granted' && localStorage.getItem(KEY) === 'on' ? 'on' : 'off';
}

function subscribe(listener: () => void) {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export const useNotices = (): Notices => useSyncExternalStore(subscribe, noticesNow);

/** Asks the browser to be let tell, or stops telling. */
export async function switchNotices(on: boolean): Promise<void> {
  if (on && able()) await Notification.requestPermission();
  localStorage.setItem(KEY, on ? 'on' : 'off');
  listeners.forEach((listener) => listener());
}

/** Tells outside of the page, where that was asked for and is allowed. */
export function notify(title: string, body: string): void {
  if (noticesNow() !== 'on') return;
  navigator.serviceWorker?.ready
    .then((worker) => worker.showNotification(title, { body, tag: title }))
    .catch(() => new Notification(title, { body, tag: title }));
}
