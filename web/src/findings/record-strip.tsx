import type { LearnedFigure } from '@dewpot/core/findings';

const WIDTH = 560;
const HEIGHT = 26;
const PAD = 8;
const MIDDLE = HEIGHT / 2;
/** Beyond what is drawn, a share of it is left free at either side. */
const ROOM = 0.08;

/** What a strip is drawn from and to, in the unit of its figures. */
export type Range = readonly [low: number, high: number];

const shownOf = ({ records }: LearnedFigure) =>
  records.flatMap(({ shows, ...record }) => (shows === undefined ? [] : [{ ...record, shows }]));

/** All that is drawn of figures, so that their strips have one scale. */
export function rangeOf(figures: readonly LearnedFigure[]): Range {
  const all = figures.flatMap((one) => [one.figure.value, one.handbook, ...shownOf(one).map(({ shows }) => shows)]);
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const room = (most - least || most || 1) * ROOM;
  return [least - room, most + room];
}

/** What each record showed as a dot, the handbook's figure dashed, and the learned one as a bar between them. Records that no longer count are hollow. */
export function RecordStrip({ figure: learned, range: [low, high], label }: { figure: LearnedFigure; range: Range; label: string }) {
  const { figure, handbook } = learned;
  const x = (value: number) => PAD + ((value - low) / (high - low)) * (WIDTH - 2 * PAD);
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full" role="img" aria-label={label}>
      <line x1={PAD} x2={WIDTH - PAD} y1={MIDDLE} y2={MIDDLE} stroke="currentColor" opacity={0.25} />
      <line x1={x(handbook)} x2={x(handbook)} y1={2} y2={HEIGHT - 2} stroke="currentColor" strokeDasharray="3 3" opacity={0.8} />
      <line x1={x(figure.value)} x2={x(figure.value)} y1={1} y2={HEIGHT - 1} stroke="var(--color-primary)" strokeWidth={4} />
      {shownOf(learned).map(({ id, at, shows, counts }) => (
        <circle
          key={`${id} ${at}`}
          cx={x(shows)}
          cy={MIDDLE}
          r={3.5}
          fill={counts ? 'var(--color-primary)' : 'none'}
          fillOpacity={0.55}
          stroke="currentColor"
          strokeOpacity={0.5}
        />
      ))}
    </svg>
  );
} // prettier-ignore
