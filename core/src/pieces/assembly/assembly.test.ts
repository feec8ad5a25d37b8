import { english, refusal } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import type { MouldShape } from '../../geometry/moulds/index.js';
import { cone, nested, nestedPot } from '../../testing/examples.js';
import {
  againstBond,
  bondHours,
  bondMass,
  bondsFor,
  contactArea,
  expectedTogether,
  joinedFaces,
  joinRemarks,
  calculateArticle,
} from './index.js';

const solid = (bottom: number, top: number, height: number): MouldShape => ({
  outer: cone(bottom, top, height),
  cores: [],
  inserts: [],
});
const disc = (d: number) => (Math.PI * d * d) / 4;
const panel = (length: number, width: number, thickness: number): MouldShape => ({
  outer: {
    kind: 'rect-frustum',
    bottomLength: length,
    bottomWidth: width,
    topLength: length,
    topWidth: width,
    height: thickness,
    cornerRadius: 0,
  },
  cores: [],
  inserts: [],
});
const part = (code: string, shape: MouldShape, mass = 4000, over = false) => ({ code, name: code, shape, mass, over });

describe('where two parts touch', () => {
  it('is the lesser of two discs', () => {
    expect(contactArea({ shape: solid(100, 100, 50) }, { shape: solid(80, 80, 50) })).toBeCloseTo(disc(80), 0);
    expect(contactArea({ shape: solid(60, 60, 50) }, { shape: solid(80, 80, 50) })).toBeCloseTo(disc(60), 0);
  });

  it('is the ring of a pot’s rim, where a lid lies on it', () => {
    const pot = nested([160, 160, 180], [120, 120], 18);
    expect(contactArea({ shape: pot }, { shape: solid(200, 200, 20) })).toBeCloseTo(disc(160) - disc(120), 0);
    // Upside down it turns its foot up, whole.
    expect(contactArea({ shape: pot, over: true }, { shape: solid(200, 200, 20) })).toBeCloseTo(disc(160), 0);
  });

  it('is nothing where one falls into the other', () => {
    const pot = nested([160, 160, 180], [120, 120], 18);
    expect(contactArea({ shape: pot }, { shape: solid(100, 100, 20) })).toBeCloseTo(0, 3);
  });
});

describe('an article', () => {
  const plan = {
    arrangement: 'stacked',
    parts: [part('3a', solid(200, 200, 100), 7000), part('3b', solid(120, 120, 150), 4000)],
    bond: 'mortar',
    uses: ['outdoors', 'frost'],
    temperature: 20,
    liftLimit: 25_000,
  } as const;

  it('of two heights has their joint, mortar by mass, height, mass and footprint', () => {
    const { joints, bond, size, mass, people, clamp, cure } = calculateArticle(plan);
    expect(joints[0]!.area).toBeCloseTo(disc(120), 0);
    expect(joints[0]!.overhang).toBeCloseTo(-40, 6);
    // 11 310 mm² at 4 mm is 45.2 mL, at 2.1 kg/L and 15 % more 109 g.
    expect(bond.value).toBeCloseTo(109.26, 1);
    expect(mass.value).toBeCloseTo(11_109.26, 1);
    expect([size.length.value, size.height.value]).toEqual([200, 250]);
    expect(people).toBe(1);
    expect([clamp.value, cure.value]).toEqual([24, 120]);
    expect(joinedFaces(joints)).toBeCloseTo(2 * disc(120), 0);
  });

  it('of four panels is longer one way by twice the wall', () => {
    const box = calculateArticle({
      ...plan,
      arrangement: 'panel box',
      parts: ['a', 'b', 'c', 'd'].map((code) => part(code, panel(300, 200, 25))),
    });
    expect([box.size.length.value, box.size.width.value, box.size.height.value]).toEqual([300, 350, 200]);
    expect(box.joints).toHaveLength(4);
    expect(box.area.value).toBeCloseTo(4 * 200 * 25, 6);
  });

  it('says what reaches far over, what tips, what two must lift and what is for an engineer', () => {
    const { remarks } = calculateArticle({
      ...plan,
      uses: ['outdoors', 'load'],
      parts: [part('1a', solid(80, 80, 400), 20_000), part('1b', solid(300, 300, 60), 20_000)],
    });
    expect(english(remarks).join(' ')).toMatch(/1b reaches 110 mm over.*It tips at a tilt of.*two people.*engineer/);
  });

  it('keeps its mass: parts and mortar, and half of the mortar’s water leaves', () => {
    const one = { fresh: 4300, dry: 4000, solids: 3800, loss: 250 };
    const all = expectedTogether([one, one], 'mortar', 100);
    expect(all).toEqual({ fresh: 8700, dry: 8093.5, solids: 7687, loss: 506.5 });
    expect(all.fresh - all.dry).toBeCloseTo(606.5, 9);
  });
});

describe('what holds', () => {
  it('hot glue never does, and epoxy not in heat', () => {
    expect(english(againstBond('hot glue', []))).toContain('does not hold on concrete');
    expect(english(againstBond('epoxy', ['heat']))).toBe('Two-part epoxy does not stand heat.');
    expect(bondsFor(['frost', 'load'])).toEqual(['mortar', 'polymer mortar', 'epoxy', 'dry']);
  });

  it('takes twice as long at ten degrees, and refuses what is out of all reason', () => {
    expect(bondHours(24, 10).value).toBeCloseTo(48, 9);
    expect(refusal(() => bondHours(24, 80))).toContain('The air is 80');
    expect(refusal(() => bondMass('mortar', -1))).toContain('The joint');
  });

  it('is told of parts in different states: in the mould, dry beside damp, sealed', () => {
    const ready = { code: '1a', stage: 'drying', strength: 0.9, dry: true } as const;
    expect(joinRemarks([ready, { ...ready, code: '1b' }], 'epoxy')).toEqual([]);
    const remarks = joinRemarks(
      [ready, { ...ready, code: '1b', dry: false }, { ...ready, code: '1c', stage: 'setting' }],
      'epoxy',
    );
    expect(english(remarks[0])).toMatchObject({ severity: 'tell', told: expect.stringContaining('1b is still damp') });
    expect(english(remarks).find(({ severity }) => severity === 'refuse')!.told).toContain('1c is still in its mould');
    expect(remarks.some(({ told }) => english(told).includes('the wettest decides'))).toBe(true);
    expect(
      english(joinRemarks([ready, { ...ready, stage: 'sealed' }], 'mortar'))
        .map(({ told }) => told)
        .join(),
    ).toContain('nothing holds on a sealer');
  });
});

it('the worked pot stands on its foot, less its drain hole', () => {
  expect(contactArea({ shape: solid(300, 300, 20) }, { shape: nestedPot })).toBeCloseTo(disc(160) - disc(19), 0);
});
