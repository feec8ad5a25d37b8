import { describe, expect, it } from 'vitest';
import { HOUR } from '../../foundation/units/index.js';
import type { Due } from './due.js';
import { roundOf, tasksForMany, whenDue } from './today.js';

const NOW = Date.UTC(2026, 4, 20, 9);
const due = (task: Due['task'], good: number, more: object = {}): Due => ({
  task,
  early: NOW + (good - 2) * HOUR,
  good: NOW + good * HOUR,
  late: NOW + (good + 5) * HOUR,
  ...more,
});
const cast = (place: string, dues: Due[], pourId = 'p', mouldId = 'm') => ({ place, dues, pourId, mouldId });
const round = (casts: ReturnType<typeof cast>[]) => roundOf(casts, ({ place }) => place, NOW, NOW + 15 * HOUR);

describe('the round', () => {
  it('has what is due now, today and this week, and nothing beyond', () => {
    expect([-1, 3, 40, 300].map((good) => whenDue(due('wet', good), NOW, NOW + 15 * HOUR))).toEqual([
      'now',
      'today',
      'week',
      undefined,
    ]);
    const put = due('demould', -1, { postponedUntil: NOW + 30 * HOUR });
    expect(whenDue(put, NOW, NOW + 15 * HOUR)).toBe('week');
  });

  it('goes from place to place once, the place whose window closes first at the head, like casts together', () => {
    const casts = [
      cast('yard', [due('wet', -1)]),
      cast('bench', [due('wet', -3), due('end-moist-curing', 60)], 'q'),
      cast('bench', [due('wet', -3)], 'q'),
      cast('bench', [due('demould', -2)], 'r'),
      cast('bench', [due('wet', 1)], 'q'),
    ];
    const [now, today, week] = round(casts);
    expect(
      now!.places.map(({ place, lines }) => [place, lines.map((line) => `${line.due.task} ${line.casts.length}`)]),
    ).toEqual([
      ['bench', ['wet 2', 'demould 1']],
      ['yard', ['wet 1']],
    ]);
    expect(today!.places[0]!.lines).toHaveLength(1);
    expect(week!.places[0]!.lines[0]!.due.task).toBe('end-moist-curing');
    expect(round([])).toEqual([]);
  });

  it('offers one tap for many where a task stands on more than one line, each cast once', () => {
    const lines = round([
      cast('a', [due('wet', -1)]),
      cast('a', [due('wet', -1)], 'q'),
      cast('a', [due('coat', -1)], 'r'),
    ])[0]!.places[0]!.lines;
    expect(tasksForMany(lines).map(({ task, casts }) => [task, casts.length])).toEqual([['wet', 2]]);
  });
});
