import { useEffect, useRef } from 'react';

/** Three short tones, as far as the browser lets a page sound. */
function sound(): void {
  const audio = new AudioContext();
  for (const at of [0, 0.25, 0.5]) {
    const tone = audio.createOscillator();
    const loudness = audio.createGain();
    tone.frequency.value = 660;
    loudness.gain.setValueAtTime(0.25, audio.currentTime + at);
    loudness.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + at + 0.2);
    tone.connect(loudness).connect(audio.destination);
    tone.start(audio.currentTime + at);
    tone.stop(audio.currentTime + at + 0.22);
  }
  setTimeout(() => void audio.close(), 1500);
}

/** Sounds and shakes once when any of these times, ms, has passed. */
export function useAlerts(times: readonly number[], now: number, aloud: boolean): void {
  const before = useRef(now);
  useEffect(() => {
    const passed = times.some((time) => time > before.current && time <= now);
    before.current = now;
    if (!passed) return;
    navigator.vibrate?.([200, 100, 200]);
    if (aloud && 'AudioContext' in window) sound();
  }, [times, now, aloud]);
}

/** Keeps the screen awake while the page is seen, where the browser can. */
export function useAwake(): void {
  useEffect(() => {
    if (!('wakeLock' in navigator)) return undefined;
    let lock: WakeLockSentinel | undefined;
    const wake = () => {
      if (document.visibilityState !== 'visible') return;
      // A browser may refuse, on low battery say: the run goes on all the same.
      navigator.wakeLock.request('screen').then(
        (given) => (lock = given),
        () => undefined,
      );
    };
    wake();
    document.addEventListener('visibilitychange', wake);
    return () => {
      document.removeEventListener('visibilitychange', wake);
      void lock?.release();
    };
  }, []);
}

/** Says a sentence when it changes, where the browser has a voice and it is wanted. */
export function useVoice(text: string, wanted: boolean): void {
  useEffect(() => {
    if (!wanted || !('speechSynthesis' in window)) return undefined;
    window.speechSynthesis.cancel();
    window.speechSynthesis.speak(new SpeechSynthesisUtterance(text));
    return () => window.speechSynthesis.cancel();
  }, [text, wanted]);
}
