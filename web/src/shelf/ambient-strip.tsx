import type { WholeAmbientReading } from '@dewpot/core/ambient';
import { HOUR, exactly } from '@dewpot/core/units';
import { evaporation, faceRisk, overFace } from '@dewpot/core/curing';
import type { AmbientView } from '@dewpot/contract';
import { area, line } from 'd3-shape';
import { clockOf, weekdayOf } from '../ui/format-time';
import { useUnits } from '../ui/units';
import { useSay } from '../ui/say';

const WIDTH = 400;
const HEIGHT = 84;
const COLD = 5;

type Hour = WholeAmbientReading & { readonly bad: 'cold' | 'dry' | undefined };

function judge(reading: WholeAmbientReading): Hour {
  const risk = faceRisk(evaporation(overFace(reading)));
  return { ...reading, bad: reading.temperature < COLD ? 'cold' : risk === 'calm' ? undefined : 'dry' };
}

/** The next 48 hours of air, the bad hours hatched. */
export function AmbientStrip({ ambient }: { ambient: AmbientView }) {
  const say = useSay();
  const units = useUnits();
  const hours = ambient.ahead.filter(({ at }) => at <= ambient.now.at + 48 * HOUR).map(judge);
  const temperatures = hours.map(({ temperature }) => temperature);
  const low = Math.min(...temperatures) - 1;
  const high = Math.max(...temperatures) + 1;
  const x = (i: number) => (i / (hours.length - 1)) * WIDTH;
  const y = (t: number) => 12 + (1 - (t - low) / (high - low)) * (HEIGHT - 30);
  const curve =
    line<Hour>()
      .x((_, i) => x(i))
      .y(({ temperature }) => y(temperature))(hours) ?? '';
  const ground =
    area<Hour>()
      .x((_, i) => x(i))
      .y0(HEIGHT - 14)
      .y1(({ temperature }) => y(temperature))(hours) ?? '';
  const cold = hours.filter(({ bad }) => bad === 'cold').length;
  const dry = hours.filter(({ bad }) => bad === 'dry').length;
  const words = [
    cold > 0 && say('shelf.coldHours', { cold: exactly(cold, 'h'), cold2: units.say(COLD, '°C') }),
    dry > 0 && say('shelf.dryHours', { dry: exactly(dry, 'h') }),
  ]
    .filter(Boolean)
    .join('; ');
  return (
    <figure>
      <figcaption className="mb-1 flex items-baseline justify-between">
        <h2 className="text-lg">{say('shelf.next48')}</h2>
        <span className="quiet text-sm">
          {say('shelf.fromTo', {
            value: units.say(Math.min(...temperatures), '°C'),
            value2: units.say(Math.max(...temperatures), '°C'),
          })}
        </span>
      </figcaption>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="w-full"
        role="img"
        aria-label={say('shelf.airOver', { words: words || say('shelf.noBadHours') })}
      >
        <defs>
          <pattern id="bad-hours" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width="2.5" height="6" fill="var(--late)" opacity="0.55" />
          </pattern>
        </defs>
        <path d={ground} fill="var(--water)" opacity={0.2} />
        {hours.map(
          ({ bad }, i) =>
            bad && (
              <rect
                key={i}
                x={x(i - 0.5)}
                y={4}
                width={WIDTH / (hours.length - 1) + 0.5}
                height={HEIGHT - 18}
                fill="url(#bad-hours)"
              />
            ),
        )}
        <path d={curve} fill="none" stroke="var(--color-base-content)" strokeWidth={2} />
        <HourMarks hours={hours} x={x} />
      </svg>
      <p className="quiet text-sm">{words ? `${words}.` : say('shelf.noBadHoursFaces')}</p>
    </figure>
  );
}

/** Noon and midnight along the foot. */
function HourMarks({ hours, x }: { hours: readonly Hour[]; x: (i: number) => number }) {
  const say = useSay();
  return (
    <>
      {hours.map(({ at }, i) =>
        new Date(at).getHours() % 12 === 0 ? (
          <g key={at}>
            <line x1={x(i)} x2={x(i)} y1={4} y2={HEIGHT - 14} stroke="currentColor" opacity={0.18} />
            <text
              x={Math.min(x(i), WIDTH - 30)}
              y={HEIGHT - 2}
              fontSize={11}
              fill="currentColor"
              opacity={0.8}
              textAnchor={i < 3 ? 'start' : 'middle'}
            >
              {new Date(at).getHours() === 0 ? say(weekdayOf(at)) : say(clockOf(at))}
            </text>
          </g>
        ) : null,
      )}
    </>
  );
}
