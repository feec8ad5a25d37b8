import { useEffect, useState } from 'react';
import { isReading, stableReading } from '@dewpot/core/bench';
import type { ScaleReading } from '@dewpot/contract';
import { hear } from '../api/stream';

/** Readings kept to tell whether the scale is steady. */
const KEPT = 15;
/** Without a reading for so long the link is taken to be down, ms. */
const SILENT = 3000;

/** What the bench scale tells. */
export interface ScaleAtHand {
  readonly link: 'waiting' | 'up' | 'down';
  readonly last?: ScaleReading;
  /** g once it has come to rest. */
  readonly steady?: number;
  /** Readings that no scale can have sent. */
  readonly rubbish: number;
}

/** Listens to the bench scale while it is wanted. */
export function useScale(wanted: boolean): ScaleAtHand {
  const [readings, setReadings] = useState<readonly ScaleReading[]>([]);
  const [down, setDown] = useState(false);
  const [rubbish, setRubbish] = useState(0);
  useEffect(() => {
    if (!wanted || !('EventSource' in window)) return undefined;
    let silence = setTimeout(() => setDown(true), SILENT);
    const message = (data: string) => {
      clearTimeout(silence);
      silence = setTimeout(() => setDown(true), SILENT);
      setDown(false);
      const reading = JSON.parse(data) as ScaleReading;
      if (reading.state === 'reads' && !isReading(reading)) setRubbish((count) => count + 1);
      else setReadings((before) => [...before.slice(1 - KEPT), reading]);
    };
    const end = hear('scale/stream', { message, down: () => setDown(true) });
    return () => {
      clearTimeout(silence);
      end();
      setReadings([]);
    };
  }, [wanted]);
  const last = readings.at(-1);
  const steady = down ? undefined : stableReading(readings);
  return {
    link: down ? 'down' : last ? 'up' : 'waiting',
    ...(last && { last }),
    ...(steady !== undefined && { steady }),
    rubbish,
  };
}
