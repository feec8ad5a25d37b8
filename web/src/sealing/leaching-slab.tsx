import { fixed, listed, neededDecimals } from '@dewpot/core/units';
import { leaching } from '@dewpot/core/curing';
import type { CastDetail } from '@dewpot/contract';
import { useSay } from '../ui/say';

const PH = { from: 7, to: 13, target: 8.5 } as const;

/** The leaching: what the strips said, on the way to the target. */
export function LeachingSlab({ cast: { life } }: { cast: CastDetail }) {
  const say = useSay();
  const readings = life.ph ?? [];
  if (readings.length === 0 && !life.leaches) return null;
  const { told } = leaching(readings, life.leaches ?? 0);
  const y = (ph: number) => 8 + ((PH.to - Math.min(PH.to, Math.max(PH.from, ph))) / (PH.to - PH.from)) * 70;
  const x = (i: number) => 40 + i * 46;
  return (
    <figure className="card-slab">
      <h2 className="text-xl">{say('sealing.leachedForPlants')}</h2>
      <svg
        viewBox="0 0 420 92"
        className="w-full"
        role="img"
        aria-label={say('sealing.leachingTold', {
          readings: listed(readings.map(({ ph }) => say('sealing.phReading', { ph: fixed(ph, neededDecimals(ph)) }))),
          told: say(told),
        })}
      >
        <rect
          x={34}
          y={y(PH.target)}
          width={380}
          height={y(PH.from) - y(PH.target)}
          fill="var(--good)"
          opacity={0.35}
        />
        <text x={30} y={y(PH.target) + 4} fontSize={11} textAnchor="end" fill="currentColor">
          {PH.target}
        </text>
        <text x={30} y={y(12) + 4} fontSize={11} textAnchor="end" fill="currentColor">
          12
        </text>
        <polyline
          points={readings.map(({ ph }, i) => `${x(i)},${y(ph)}`).join(' ')}
          fill="none"
          stroke="var(--color-secondary)"
          strokeWidth={2.5}
        />
        {readings.map(({ at, ph }, i) => (
          <g key={at} transform={`translate(${x(i)} ${y(ph)})`}>
            <circle r={4.5} fill="var(--color-secondary)" />
            <text y={-8} fontSize={11} textAnchor="middle" fill="currentColor">
              {ph}
            </text>
          </g>
        ))}
      </svg>
      <figcaption className="text-sm">{say('sealing.soaksSoFar', { leaches: life.leaches ?? 0, told })}</figcaption>
    </figure>
  );
}
