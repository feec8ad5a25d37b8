import { describe, expect, it } from 'vitest';
import { HOUR } from '../../foundation/units/index.js';
import type { Life } from './life.js';
import { mouldRecord } from './mould-record.js';

const life = (hours: number | undefined, over: Partial<Life> = {}): Life => ({
  stage: 'curing',
  pouredAt: 0,
  ...(hours !== undefined && { demouldedAt: hours * HOUR }),
  damage: [],
  weighings: [],
  coats: [],
  ...over,
});

describe('what came of a mould', () => {
  it('counts what was lifted, how it came out and after how long', () => {
    const record = mouldRecord([
      { life: life(20) },
      { life: life(30) },
      { life: life(26, { damage: [{ spot: 'rim', size: 'chip' }] }) },
      { life: life(undefined) },
      { life: life(undefined, { brokenAt: 9 * HOUR }) },
    ]);
    expect(record).toEqual({ demoulded: 4, clean: 2, hours: 26, releases: [] });
  });
  it('tells by what was put on it, most used first', () => {
    const { releases } = mouldRecord([
      { life: life(20), release: 'soap' },
      { life: life(20), release: 'paste wax' },
      { life: life(20, { damage: [{ spot: 'corner', size: 'chip' }] }), release: 'paste wax' },
    ]);
    expect(releases).toEqual([
      { release: 'paste wax', clean: 1, casts: 2 },
      { release: 'soap', clean: 1, casts: 1 },
    ]);
  });
  it('of a mould that was never poured is nothing yet', () => {
    expect(mouldRecord([])).toEqual({ demoulded: 0, clean: 0, releases: [] });
  });
});
