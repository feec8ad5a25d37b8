import { useState } from 'react';
import { listed } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import { shareTogether } from '@dewpot/core/sealing';
import { expectedNow, liesOnScale, type OnTheScale } from '@dewpot/core/casts';
import type { CastView } from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import { refuses } from '../api/client';
import { useSession } from '../api/session';
import { useRecord } from '../ui/casts/use-record';
import { useScale } from '../ui/use-scale';
import { useSay } from '../ui/say';

export type ToWeigh = OnTheScale<CastView>;

/** One weighing of a round: by the scale, or as it is typed. */
export function useWeighing(casts: ToWeigh['casts'], now: number, onKept: () => void) {
  const say = useSay();
  const { scaleStep: step } = useSession().workshop;
  const record = useRecord();
  const scale = useScale(true);
  const [typed, setTyped] = useState<number>();
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<unknown>();
  const [missing, setMissing] = useState(false);
  // Made once, so that what was sent twice is one weighing.
  const [keyed] = useState(() => casts.map((cast) => ({ cast, key: uuid() })));
  const together = casts.length > 1;
  const expected = casts.reduce((sum, cast) => sum + expectedNow(cast, now).mass, 0);
  const read = scale.steady !== undefined && liesOnScale(scale.steady, expected) ? scale.steady : undefined;
  const mass = typed ?? read;
  const keep = async (sure: boolean) => {
    if (mass === undefined) return setMissing(true);
    setBusy(true);
    setError(undefined);
    try {
      const shares = together
        ? shareTogether({ total: mass, step, dry: casts.map((cast) => cast.expected.dry) })
        : [{ mass, step }];
      const more = { ...(together && { together: casts.length }), ...(sure && { sure }) };
      await record(
        say('weighing.weighed', { casts: listed(casts.map(({ code }) => code)) }),
        keyed.map(({ cast, key }, i) => ({
          cast,
          event: { id: key, type: 'weighed' as const, ...defined(shares[i]), ...more },
        })),
      );
      onKept();
    } catch (wrong) {
      setError(wrong);
    }
    setBusy(false);
  };
  return {
    ...{ step, typed, setTyped, busy, error, together, expected, mass, keep },
    linked: scale.link === 'up',
    byScale: read !== undefined,
    missing: missing && mass === undefined,
    asksWhetherSure: refuses(error, 'sure'),
  };
}
