import { describe, expect, it } from 'vitest';
import { reckonMix, starters } from '../mixes/index.js';
import { reckonMould, usualDensity } from '../moulds/index.js';
import { cone, mixOfStarter, nested, recipe, sandCement, threePots } from '../testing/examples.js';
import { judgePour, placingOf, type PourItem, type PourPlan } from './index.js';

const pot = threePots().items[0]!;
const wide = { outer: cone(400, 400, 50), cores: [], inserts: [] };
const shell = { outer: cone(200, 240, 120), cores: [], inserts: [], pressed: { side: 'over' as const, thickness: 35 } };

const judge = (over: Partial<PourPlan>, item: Partial<PourItem> = {}) => {
  const plan = threePots({ items: [{ ...pot, count: 1, ...item }], ...over });
  return judgePour(plan, reckonMix(plan.mix, plan.conditions));
};
const keys = (...asked: Parameters<typeof judge>) => judge(...asked).map(({ key }) => key);
const starter = (key: string) => {
  const one = starters.find((each) => each.key === key)!;
  return { mix: mixOfStarter(one), setting: one.setting };
};

describe('a mould with a mix', () => {
  it('that goes well has nothing against it', () => expect(judge({})).toEqual([]));

  it('of gravel of 10 mm does not go into a wall of 21 mm', () => {
    const gravel = recipe([['grey-cement', 1], ['sharp-sand', 2], ['pea-gravel', 2]], { grade: 5 }); // prettier-ignore
    const narrow = nested([160, 200, 180], [118, 158], 21);
    const [finding] = judge({ mix: gravel }, { shape: narrow });
    expect(finding).toMatchObject({ key: 'grain', harm: 2 });
    expect(finding!.text).toMatch(/Grains of 10.* do not pass Nested pot/);
    expect(keys({ mix: gravel }, { shape: wide, piece: 'ornament', fillTo: 50 })).not.toContain('grain');
  });

  it('that is pressed wants a stiff mix, and the tap makes it so; its form has no wall of its own', () => {
    const [finding] = judge({ mix: sandCement(5) }, { shape: shell });
    expect(finding).toMatchObject({ key: 'wetness', harm: 2, remedies: [{ grade: 3 }] });
    const mended = judge({ mix: sandCement(finding!.remedies[0]!.grade) }, { shape: shell });
    expect(mended).toEqual([]);
  });

  it('that comes to a point is judged by the rest', () => {
    const wedge = { outer: { kind: 'rect-frustum' as const, bottomLength: 120, bottomWidth: 80, topLength: 120, topWidth: 0.001, height: 90, cornerRadius: 0 }, cores: [], inserts: [] }; // prettier-ignore
    expect(keys({}, { shape: wedge, piece: 'ornament' })).not.toContain('grain');
  });

  it('thinner than its guide says by how much', () => {
    expect(judge({}, { piece: 'trough' }).find(({ key }) => key === 'wall')!.text).toMatch(/for a trough the guide is/);
  });

  it('of gypsum is not walked on, not planted and not outdoors', () => {
    const { mix, setting } = starter('gypsum');
    expect(judge({ mix, setting }, { shape: wide, piece: 'slab' })[0]).toMatchObject({ key: 'exposure', harm: 1 });
    expect(keys({ mix, setting }, { piece: 'pot' })).toContain('exposure');
    expect(keys({ mix: { ...mix, exposure: 'frost' }, setting }, { shape: wide, piece: 'ornament' })).toContain(
      'exposure',
    );
    expect(keys({ mix, setting }, { shape: wide, piece: 'ornament' })).not.toContain('exposure');
  });

  it('too weak for feet is told first', () => {
    const light = recipe([['grey-cement', 1], ['perlite', 3]], { grade: 4 }); // prettier-ignore
    const found = judge({ mix: light }, { shape: wide, piece: 'slab' });
    expect(found[0]).toMatchObject({ key: 'strength', harm: 1 });
    expect(found.map(({ harm }) => harm)).toEqual(found.map(({ harm }) => harm).sort());
  });
});

describe('thirteen mixes in moulds of every way', () => {
  const moulds: Partial<PourItem>[] = [{}, { shape: wide, piece: 'slab' }, { shape: shell }, { shape: wide, piece: 'panel' }, { shape: wide, piece: 'ornament' }]; // prettier-ignore

  it('never speak of floors and cores that a mould has not, and each remedy that is one tap ends its finding', () => {
    for (const { key } of starters)
      for (const mould of moulds) {
        const { mix, setting } = starter(key);
        for (const finding of judge({ mix, setting }, mould)) {
          expect(finding.remedies.length).toBeGreaterThan(0);
          const grade = finding.remedies.find((remedy) => remedy.grade)?.grade;
          if (grade === undefined) continue;
          const way = placingOf({ ...pot, ...mould }, { mix });
          const after = judge({ mix: { ...mix, grade, packed: mix.packed ?? false }, setting }, mould);
          const same = placingOf({ ...pot, ...mould }, { mix: { ...mix, grade } }) === way;
          if (same) expect(after.map((one) => one.key)).not.toContain(finding.key);
        }
      }
  });
});

it('a mould without a mix is weighed with the usual one of its kind', () => {
  const fresh = (key: string) => reckonMix(starter(key).mix, { dampDays: 7 }).freshDensity.value;
  for (const [piece, key] of [
    ['trough', 'tufa-peat'],
    ['hypertufa-pot', 'tufa-peat'],
    ['panel', 'light'],
    ['slab', 'paver'],
  ] as const)
    // prettier-ignore
    expect(usualDensity(piece)).toBeCloseTo(fresh(key), 1);
  const trough = reckonMould(wide, { stuff: 'rigid', piece: 'trough' }).mass.value;
  expect(trough / reckonMould(wide, { stuff: 'rigid', piece: 'pot' }).mass.value).toBeCloseTo(1.31 / 2.15, 6);
});
