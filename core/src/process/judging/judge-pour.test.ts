import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import type { FindingKey } from '../../foundation/units/index.js';
import { calculateMould, usualDensity } from '../../geometry/moulds/index.js';
import { calculateMix, starters } from '../../mixing/mixes/index.js';
import { cone, dose, recipeOfStarter, nested, recipe, sandCement, threePots } from '../../testing/examples.js';
import { calculateSheet, type PourItem, type PourPlan } from '../pours/index.js';
import { judgePour, leastWall, mixesThatFit, type HourAhead, type JudgeContext, type PutAside } from './index.js';

const pot = threePots().items[0]!;
const solid = (over: Partial<ReturnType<typeof cone>> = {}) => ({
  outer: { ...cone(400, 400, 50), ...over },
  cores: [],
  inserts: [],
});
const shell = { outer: cone(200, 240, 120), cores: [], inserts: [], pressed: { side: 'over' as const, thickness: 35 } };
const starter = (key: string) => {
  const one = starters.find((each) => each.key === key)!;
  return { mix: recipeOfStarter(one), binderClass: one.binderClass };
};
const planned = (over: Partial<PourPlan>, item: Partial<PourItem> = {}) =>
  threePots({ items: [{ ...pot, count: 1, ...item }], ...over });
const judge = (over: Partial<PourPlan>, item: Partial<PourItem> = {}, context: JudgeContext = {}) => {
  const plan = planned(over, item);
  return judgePour(plan, calculateSheet(plan), context);
};
const keys = (...asked: Parameters<typeof judge>) => judge(...asked).findings.map(({ key }) => key);
const find = (key: FindingKey, ...asked: Parameters<typeof judge>) =>
  judge(...asked).findings.find((finding) => finding.key === key);
const hours = (over: Partial<HourAhead>): HourAhead[] =>
  Array.from({ length: 48 }, () => ({ temperature: 18, humidity: 0.6, wind: 5, ...over }));
/** A mould of plastic whose core is heavy enough to stay down. */
const rigid = { [pot.mouldId]: { flexibility: 'rigid', material: 'rigid-plastic', coreMass: 9000 } } as const;

describe('a mould with a mix', () => {
  it('that goes well has nothing against it, and says what nobody could judge', () => {
    const known = { moulds: rigid, release: 'wax', uses: ['indoors'], ahead: hours({}) } as const;
    expect(judge({}, {}, known)).toEqual({ findings: [], unknown: [] });
    expect(english(judge({}).unknown)).toEqual([
      expect.stringContaining('how stiff the mould of Nested pot is'),
      'which release agent is used',
      'what it is for',
      'how warm and dry the next two days are',
    ]);
  });

  it('each finding names its harm, its basis, its reason and a way out, the worst first', () => {
    const light = recipe([['grey-cement', 1], ['perlite', 3]], { grade: 6 }); // prettier-ignore
    const { findings } = judge({ mix: light, temperature: 2 }, { shape: solid(), piece: 'slab' });
    expect(english(findings[0])).toMatchObject({ key: 'strength', harm: 1 });
    expect(findings.map(({ harm }) => harm)).toEqual(findings.map(({ harm }) => harm).sort());
    for (const { text, reason, basis, remedies } of findings) {
      expect([text, reason, basis].every(Boolean)).toBe(true);
      expect(remedies.length).toBeGreaterThan(0);
    }
  });

  it('that was put aside for this mould comes last, with its reason', () => {
    const aside: PutAside[] = [{ key: 'consistency', mouldId: pot.mouldId, reason: 'I tap it down.' }];
    const { findings } = judge({ mix: sandCement(4), temperature: 2 }, {}, { aside, moulds: rigid });
    expect(english(findings).map(({ key, aside: why }) => [key, why])).toEqual([
      ['cold-ahead', undefined],
      ['consistency', 'I tap it down.'],
    ]);
    const other = [{ ...aside[0]!, mouldId: 'another' }];
    expect(find('consistency', { mix: sandCement(4) }, {}, { aside: other })!.aside).toBeUndefined();
  });
});

describe('a mould’s size and the mix that fills it', () => {
  const gravel = recipe([['grey-cement', 1], ['sharp-sand', 2], ['pea-gravel', 2]], { grade: 5 }); // prettier-ignore
  const narrow = nested([160, 200, 180], [118, 158], 21);

  it('gravel of 10 mm does not go into a wall of 21 mm, and another mix is a tap', () => {
    const finding = find('grain', { mix: gravel }, { shape: narrow });
    expect(english(finding)).toMatchObject({ harm: 2, basis: 'guide', item: 0 });
    expect(english(finding!.text)).toMatch(
      /^Nested pot: its largest grain is 10 mm, and its narrowest gap passes [67]\.\d mm/,
    );
    expect(english(finding!.remedies)).toContainEqual(expect.objectContaining({ change: { mix: 'another' } }));
    expect(keys({ mix: gravel }, { shape: solid(), piece: 'ornament' })).not.toContain('grain');
  });

  it('grain that does not pass the mesh can go without it', () => {
    const context = { moulds: { [pot.mouldId]: { flexibility: 'apart', meshOpening: 5 } } } as const;
    const finding = find('grain', { mix: gravel }, { shape: solid(), piece: 'panel', mesh: true }, context);
    expect(english(finding!.text)).toContain('the mesh passes 3.8 mm');
    expect(finding!.remedies[1]).toMatchObject({ change: { mesh: false } });
    expect(keys({ mix: gravel }, { shape: solid(), piece: 'panel' }, context)).not.toContain('grain');
  });

  it('the mixes that fit are told best first, with what they change', () => {
    const plan = planned({ mix: gravel }, { shape: narrow });
    const candidate = (key: string) => ({ id: key, name: key, conditions: { moistCuringDays: 7 }, ...starter(key) });
    const fitting = mixesThatFit(plan, calculateSheet(plan), {}, ['paver', 'garden', 'fine', 'gypsum'].map(candidate));
    expect(english(fitting[0])).toMatchObject({ id: 'garden', left: [0, 1, 0] });
    expect(english(fitting[0]!.cost)).toMatch(/28-day strength \d+ MPa → \d+ MPa, dry weight [+−]\d+ %/);
    expect(english(fitting).map(({ id }) => id)).not.toContain('paver');
  });

  it('the least wall goes by piece and mix', () => {
    const wall = (piece: PourItem['piece'], key: string) => leastWall(piece, starter(key).mix);
    expect([wall('small-pot', 'gypsum'), wall('small-pot', 'garden'), wall('pot', 'tufa-peat')]).toEqual([8, 12, 35]);
    expect([wall('dish', 'beads'), wall('dish', 'light'), wall('trough', 'tufa-peat')]).toEqual([8, 20, 45]);
    expect(english(find('wall', {}, { piece: 'trough' })!.text)).toMatch(/For a trough the guide is at least 45/);
    expect(english(find('wall', starter('tufa-peat'), { shape: { ...shell, pressed: { side: 'over', thickness: 25 } } })!.text)).toMatch(/thinnest place is 25.* at least 35/); // prettier-ignore
  });

  it('a mould that comes to a point is judged by the rest', () => {
    const wedge = { outer: { kind: 'rect-frustum' as const, bottomLength: 120, bottomWidth: 80, topLength: 120, topWidth: 0.001, height: 90, cornerRadius: 0 }, cores: [], inserts: [] }; // prettier-ignore
    expect(keys({}, { shape: wedge, piece: 'ornament' })).not.toContain('grain');
  });

  it('a soft tall wall, a straight core and an undercut go by what the mould is', () => {
    const straight = nested([200, 200, 200], [150, 150], 20);
    const of = (flexibility: 'rigid' | 'flexible' | 'apart', shape = straight) =>
      keys({}, { shape }, { moulds: { [pot.mouldId]: { flexibility } } });
    expect(of('rigid')).toContain('no-draft');
    expect(of('flexible')).toContain('bulge');
    expect(of('apart')).not.toContain('bulge');
    expect(of('rigid', nested([220, 200, 180], [150, 165], 20))).toContain('undercut');
    expect(keys({}, { shape: straight })).not.toContain('no-draft');
  });

  it('a core that its sand does not hold is told, and one of iron holds itself', () => {
    const wide = nested([300, 320, 90], [40, 290], 15);
    const heavy = recipe([['grey-cement', 1], ['sharp-sand', 2]], { grade: 6 }); // prettier-ignore
    const context = (coreMass: number) => ({ moulds: { [pot.mouldId]: { flexibility: 'rigid', coreMass } } }) as const;
    const finding = find('floating-core', { mix: heavy }, { shape: wide }, context(0));
    expect(english(finding?.remedies[0]!.text)).toContain('bar across');
    expect(find('floating-core', { mix: heavy }, { shape: wide }, context(40_000))).toBeUndefined();
    const packed = { mix: { ...heavy, grade: 3, packed: true } } as const;
    expect(find('floating-core', packed, { shape: wide }, context(0))).toBeUndefined();
  });
});

describe('how it is placed', () => {
  it('pressing wants a stiff mix: the tap makes it so and tells what it costs', () => {
    const finding = find('consistency', { mix: sandCement(5) }, { shape: shell })!;
    expect(finding).toMatchObject({ harm: 2, remedies: [{ change: { grade: 3 } }] });
    expect(english(finding.remedies[0]!.cost)).toMatch(/28-day strength \d+ MPa → \d+ MPa/);
    expect(keys({ mix: sandCement(3) }, { shape: shell })).toEqual([]);
  });

  it('a fluid powder does not stay on a form', () =>
    expect(keys(starter('gypsum'), { shape: shell, piece: 'dish' })).toContain('fluid-on-form'));

  it('a mix that stiffens before a mould is full says how long each takes', () => {
    const slow = { mixing: 6, filling: 12 };
    const finding = find('pot-life', { ...starter('quick'), times: slow })!;
    expect(english(finding.text)).toMatch(/workable for \d+ min, mixing takes 6 min and filling 12 min/);
    expect(find('pot-life', starter('quick'))).toBeUndefined();
  });
});

describe('what lets the cast go', () => {
  const of = (release: JudgeContext['release'], uses: JudgeContext['uses'] = []) =>
    judge({}, {}, { moulds: rigid, release: release!, uses: uses! }).findings;
  it('goes by what the mould is made of, and a tap takes the usual one', () => {
    expect(of('wax')).toEqual([]);
    expect(english(of('soap')[0])).toMatchObject({
      key: 'release',
      harm: 3,
      remedies: [{ change: { release: 'wax' } }],
    });
    expect(english(of('none')[0])).toMatchObject({ key: 'release', harm: 2 });
  });
  it('goes by what comes on the cast', () => {
    expect(english(of('silicone-spray', ['damp shelf'])).map(({ key }) => key)).toContain('release-under-sealer');
    expect(of('silicone-spray')).toEqual([]);
  });
});

describe('what it is for', () => {
  it('gypsum is not walked on, not planted and not outdoors', () => {
    const gypsum = starter('gypsum');
    expect(find('wet-binder', gypsum, { shape: solid(), piece: 'slab' })).toMatchObject({ harm: 1 });
    expect(keys(gypsum, { piece: 'pot' })).toContain('wet-binder');
    const frosty = { ...gypsum, mix: { ...gypsum.mix, exposure: 'frost' as const } };
    expect(keys(frosty, { shape: solid(), piece: 'ornament' })).toContain('wet-binder');
    expect(keys(gypsum, { shape: solid(), piece: 'ornament' })).not.toContain('wet-binder');
  });
  it('gypsum is never cured moist', () => {
    const ornament = { shape: solid(), piece: 'ornament' } as const;
    const damp = (moistCuringDays: number) => keys({ ...starter('gypsum'), conditions: { moistCuringDays } }, ornament);
    expect(damp(7)).toContain('damp-gypsum');
    expect(damp(0)).toEqual([]);
  });
  it('food, candle, animals and water have their caution', () => {
    const used = (...uses: NonNullable<JudgeContext['uses']>) => keys({}, {}, { uses });
    expect(used('food', 'candle')).toEqual(expect.arrayContaining(['use-food', 'use-candle']));
    expect(used('water')).not.toContain('use-water');
    expect(keys(starter('tufa-peat'), { shape: shell }, { uses: ['water'] })).toContain('use-water');
  });
  it('a mix’s own note counts where it names this piece', () => {
    const unfit = 'thin walls under 35 mm, holding water';
    expect(keys({}, {}, { unfit })).toContain('own-note');
    expect(keys({}, { shape: solid(), piece: 'slab' }, { unfit })).not.toContain('own-note');
    expect(
      english(find('own-note', {}, { shape: solid(), piece: 'slab' }, { unfit: 'stepping stones' })!.text),
    ).toMatch(/not for stepping stones; Nested pot is that/);
  });
});

describe('where and of what', () => {
  it('cold and heat are told as they are, and as the forecast has them', () => {
    expect(english(find('cold-ahead', { temperature: 3 }))).toMatchObject({ basis: 'record', harm: 3 });
    const frost = find('frost-ahead', {}, {}, { ahead: hours({ temperature: -2 }) });
    expect(english(frost)).toMatchObject({ basis: 'forecast', harm: 2 });
    expect(keys({}, {}, { ahead: hours({ temperature: 35, humidity: 0.2, wind: 20 }) })).toEqual(
      expect.arrayContaining(['heat-ahead', 'dry-air']),
    );
    expect(
      keys(
        { temperature: 3, ...starter('gypsum'), conditions: { moistCuringDays: 0 } },
        { shape: solid(), piece: 'ornament' },
      ),
    ).toEqual([]);
  });
  it('what sets in minutes is not poured thick, and light mixes are kept damp', () => {
    const thick = { shape: solid({ height: 120 }), piece: 'ornament' } as const;
    expect(english(find('thick-section', starter('quick'), thick)!.text)).toMatch(/gets hot/);
    expect(english(find('thick-section', starter('patch'), thick)!.text)).toMatch(/shrinks/);
    expect(keys(starter('quick'), { shape: solid(), piece: 'ornament' })).not.toContain('thick-section');
    expect(
      keys(
        { ...starter('light'), conditions: { moistCuringDays: 3 } },
        {
          shape: solid(),
          piece: 'panel',
        },
      ),
    ).toContain('light-cure');
  });
  it('old cement, a short lot, a blue that greys, carbon in the rain, a clean tint on grey', () => {
    expect(find('old-cement', { conditions: { moistCuringDays: 7, cementMonths: 14 } })).toMatchObject({ harm: 2 });
    const mix = (key: string) => ({ mix: { ...sandCement(5), doses: [dose(key, 0.03)] } });
    expect(keys(mix('ultramarine'))).toContain('fading-pigment');
    expect(keys(mix('carbon-black'))).toContain('carbon-outdoors');
    expect(keys(mix('yellow-oxide'))).toContain('grey-base');
    const lots = [{ materialId: 'grey-cement', bought: 1000, left: 10, price: 5, boughtAt: 0 }];
    expect(english(find('short-lot', { lots })!.remedies[0]!.text)).toMatch(/Buy \d+ bag/);
  });
  it('mesh and calcium chloride do not go together', () => {
    const salt = { mix: { ...sandCement(5), doses: [dose('accelerator', 0.02)] } };
    expect(keys(salt, { mesh: true })).toContain('chloride-mesh');
    expect(keys(salt)).not.toContain('chloride-mesh');
  });
  it('more than one person lifts is told with both weights', () =>
    expect(english(find('weight', { liftLimit: 2000 }))).toMatchObject({ harm: 1, basis: 'calculated' }));
});

it('a mould without a mix is weighed with the usual one of its kind', () => {
  const fresh = (key: string) => calculateMix(starter(key).mix, { moistCuringDays: 7 }).freshDensity.value;
  for (const [piece, key] of [
    ['trough', 'tufa-peat'],
    ['hypertufa-pot', 'tufa-peat'],
    ['panel', 'light'],
    ['slab', 'paver'],
  ] as const)
    // prettier-ignore
    expect(usualDensity(piece)).toBeCloseTo(fresh(key), 1);
  const trough = calculateMould(solid(), { flexibility: 'rigid', piece: 'trough' }).mass.value;
  expect(trough / calculateMould(solid(), { flexibility: 'rigid', piece: 'pot' }).mass.value).toBeCloseTo(
    1.31 / 2.15,
    6,
  );
});
