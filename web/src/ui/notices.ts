import { useSyncExternalStore } from 'react';
import { keptChoice } from '../api/kept-choice';

const choice = keptChoice('dew-pot-notices');

const able = () => 'Notification' in window;

/** Whether this browser tells of what comes due: asked for here, and allowed by the browser. */
export type Notices = 'on' | 'off' | 'refused' | 'impossible';

function noticesNow(): Notices {
  if (!able()) return 'impossible';
  if (Notification.permission === 'denied') return 'refused';
  return Notification.permission === 'granted' && choice.read() === 'on' ? 'on' : 'off';
}

export const useNotices = (): Notices => useSyncExternalStore(choice.hear, noticesNow);

/** Asks the browser to be let tell, or stops telling. */
export async function switchNotices(on: boolean): Promise<void> {
  if (on && able()) await Notification.requestPermission();
  choice.keep(on ? 'on' : 'off');
}

/** Tells outside of the page, where that was asked for and is allowed. */
export function notify(title: string, body: string): void {
  if (noticesNow() !== 'on') return;
  navigator.serviceWorker?.ready
    .then((worker) => worker.showNotification(title, { body, tag: title }))
    .catch(() => new Notification(title, { body, tag: title }));
}
