import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import type { CastView } from '@dewpot/contract';
import { cast, DAY, dry, HOUR, NOW, renderInside } from '../../test/stand-ins';
import { lookToday } from '../ui/casts/look-today';
import { judgedBy } from '../ui/casts/reading';
import { inColours, layoutPlank, lineHeight, shelfScale } from './layout';
import { groupCasts, planksOf } from './reading';
import { PlankLine } from './plank';
import { Round } from './today';
import { speakerFor, english } from '@dewpot/locales/testing';

const say = speakerFor();

const group = (casts: CastView[]) => groupCasts(casts, NOW);

describe('the shelf', () => {
  it('stands like casts of a pour together, on the plank of their stage; those out or broken are gone', () => {
    const groups = group([
      cast('1a'),
      cast('1b'),
      cast('1c', { stage: 'finished' }),
      cast('2a', { stage: 'broken' }),
      cast('3a', { dry: dry({ dryEnough: true }) }),
      cast('4a', { stage: 'setting', life: { ...cast('4a').life, stage: 'setting', pouredAt: NOW - HOUR } }),
    ]);
    expect(groups.map(({ plank, casts }) => [plank, casts.map(({ code }) => code).join(' ')])).toEqual([
      ['drying', '1a 1b'],
      ['ready', '3a'],
      ['setting', '4a'],
    ]);
    expect(groups.map(({ due }) => due)).toEqual([true, true, false]);
  });

  it('marks those that were judged by others, and by which', () => {
    const inferred = dry({ dryEnough: true, inferredFrom: ['1a', '1b'] });
    const casts = [cast('1a', { dry: dry({ dryEnough: true }) }), cast('1c', { dry: inferred })];
    expect(english(judgedBy(casts))).toBe('1c: judged by 1a and 1b');
    expect(english(judgedBy(casts.slice(1)))).toBe('judged by 1a and 1b');
    expect(judgedBy(casts.slice(0, 1))).toBeUndefined();
    const none = { dues: [] };
    const line = layoutPlank(
      inColours(group(casts.slice(1).map((one) => ({ ...one, ...none }))), NOW),
      800,
      0.4,
      speakerFor(),
    )[0]!;
    renderInside(<PlankLine line={line} label="Ready to seal" count={1} width={800} scale={0.4} onDue={vi.fn()} />);
    expect(screen.getByText('≈ 1c')).toBeInTheDocument();
  });

  it('draws a wet piece darker than the same one dry', () => {
    const wet = cast('1a', { stage: 'curing', life: { ...cast('1a').life, stage: 'curing' } });
    const dry = cast('1b', { life: { ...cast('1b').life, uncoveredAt: NOW - 200 * DAY, pouredAt: NOW - 210 * DAY } });
    const light = (colour: string) => parseInt(colour.slice(1, 3), 16);
    expect(light(lookToday(wet, NOW).colour)).toBeLessThan(light(lookToday(dry, NOW).colour) - 20);
    expect(Math.abs(light(lookToday(dry, NOW).colour) - 0xb3)).toBeLessThan(3);
  });

  it('breaks a full plank into lines, without overlap, and shrinks all planks to one scale that fits', () => {
    const many = inColours(group(Array.from({ length: 14 }, (_, i) => cast(`${i + 1}a`))), NOW);
    const lines = layoutPlank(many, 800, 0.46, say);
    expect(lines.length).toBeGreaterThan(1);
    for (const line of lines) {
      for (const [i, placed] of line.entries()) {
        const before = line[i - 1];
        if (before) expect(placed.x).toBeGreaterThan(before.x + before.width * 0.6);
        expect(placed.x + placed.width / 2).toBeLessThanOrEqual(800);
      }
    }
    const few = [many.slice(0, 5), [], [], [], []];
    const scale = shelfScale(few, { width: 800, height: 510 }, say);
    expect(scale).toBeLessThan(0.48);
    const taken = (at: number) => {
      const laid = few.map((groups) => layoutPlank(groups, 800, at, say));
      const heights = laid.map(([line = []]) => lineHeight(line, 800, at, true).height);
      return { lines: laid[0]!.length, height: heights.reduce((sum, height) => sum + height, 0) };
    };
    expect(taken(scale).lines).toBe(1);
    expect(taken(scale).height).toBeLessThanOrEqual(510);
    const larger = taken(scale + 0.02);
    expect(larger.lines > 1 || larger.height > 510).toBe(true);
  });
});

describe('the planks', () => {
  it('are laid by stage, by place or by pour, each group on one of them', () => {
    const at = (place: string) => ({ ...cast('1a').snapshot, place });
    const groups = group([
      cast('1a', { snapshot: at('yard') }),
      cast('1b', { snapshot: at('bench') }),
      cast('12a', { snapshot: at('yard') }),
    ]);
    const told = (by: 'stage' | 'place' | 'pour') =>
      planksOf(groups, by).map(
        ({ name, groups: here }) => `${speakerFor().value(name)} ${here.flatMap(({ casts }) => casts).length}`,
      );
    expect(told('stage')).toEqual(['Setting 0', 'Curing 0', 'Drying 3', 'Ready to seal 0', 'Sealed 0']);
    expect(told('place')).toEqual(['bench 1', 'yard 2']);
    expect(told('pour')).toEqual(['Pour 12 1', 'Pour 1 2']);
  });
});

describe('the round', () => {
  it('goes from place to place, now and later; each line does its task, and can be postponed', async () => {
    const at = (place: string) => ({ ...cast('1a').snapshot, place });
    const later = { ...cast('2a').life, weighings: [], weighedAt: NOW - 2 * HOUR };
    const casts = [cast('2a', { snapshot: at('the sill'), life: later }), cast('1a', { snapshot: at('the yard') })];
    const onDo = vi.fn();
    renderInside(<Round casts={casts} now={NOW} whole onDo={onDo} />);
    expect(screen.getAllByRole('heading').map(({ textContent }) => textContent)).toEqual([
      'Now',
      'the yard',
      'This week',
      'the sill',
    ]);
    await userEvent.click(screen.getByRole('button', { name: 'Weigh: Nested pot 1a' }));
    expect(onDo).toHaveBeenCalledWith(expect.objectContaining({ casts: [expect.objectContaining({ code: '1a' })] }));
    await userEvent.click(screen.getByRole('button', { name: 'Postpone: Weigh, Nested pot 1a' }));
    expect(onDo).toHaveBeenLastCalledWith(expect.objectContaining({ postpone: true, task: 'weigh' }));
  });

  it('with nothing to do says so', () => {
    renderInside(<Round casts={[]} now={NOW} whole onDo={() => undefined} />);
    expect(screen.getByText(/Nothing is due/)).toBeVisible();
  });
});
