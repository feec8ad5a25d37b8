import { useEffect, useState } from 'react';
import { isReading, stableReading } from '@dewpot/core/bench';
import type { ScaleReading } from '@dewpot/contract';
import { hear } from '../api/stream';
import { serialScale, useSerialScale } from './serial-scale';

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

const hearServer = (take: (reading: ScaleReading) => void, down: () => void) =>
  hear('scale/stream', { message: (data) => take(JSON.parse(data) as ScaleReading), down });

function hearCable(take: (reading: ScaleReading) => void): () => void {
  serialScale.ears.add(take);
  return () => void serialScale.ears.delete(take);
}

/** Listens to the bench scale while it is wanted: to the one on a cable of this device, else to what the server hears. */
export function useScale(wanted: boolean): ScaleAtHand {
  const [readings, setReadings] = useState<readonly ScaleReading[]>([]);
  const [down, setDown] = useState(false);
  const [rubbish, setRubbish] = useState(0);
  const byCable = useSerialScale();
  useEffect(() => {
    if (!wanted || !('EventSource' in window || byCable)) return undefined;
    let silence = setTimeout(() => setDown(true), SILENT);
    const take = (reading: ScaleReading) => {
      clearTimeout(silence);
      silence = setTimeout(() => setDown(true), SILENT);
      setDown(false);
      if (reading.state === 'reads' && !isReading(reading)) setRubbish((count) => count + 1);
      else setReadings((before) => [...before.slice(1 - KEPT), reading]);
    };
    const end = byCable ? hearCable(take) : hearServer(take, () => setDown(true));
    return () => {
      clearTimeout(silence);
      end();
      setReadings([]);
    };
  }, [wanted, byCable]);
  const last = readings.at(-1);
  const steady = down ? undefined : stableReading(readings);
  return {
    link: down ? 'down' : last ? 'up' : 'waiting',
    ...(last && { last }),
    ...(steady !== undefined && { steady }),
    rubbish,
  };
}
