import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { starters } from '../../mixing/mixes/index.js';
import { cone, material, recipeOfStarter, nestedPot, sandCement, threePots } from '../../testing/examples.js';
import { isOneLift, placingOf, placingsOf, placingWays, type PourItem, type PourPlan } from './index.js';

const pot = threePots().items[0]!;
const item = (over: Partial<PourItem>): PourItem => ({ ...pot, count: 1, ...over });
const bowl = { outer: cone(160, 200, 90), cores: [], inserts: [] };
const plan = (over: Partial<PourPlan>) => threePots({ temperature: 20, ...over });
const words = (over: Partial<PourPlan>, of: Partial<PourItem> = {}) =>
  placingsOf(plan({ items: [item(of)], ...over }))[0]!.steps.map(({ text }) => english(text)).join(' '); // prettier-ignore
const starter = (key: string) => {
  const one = starters.find((each) => each.key === key)!;
  return { mix: recipeOfStarter(one), binderClass: one.binderClass };
};

describe('how a mix is brought into a mould', () => {
  const ring = { kind: 'ring', inner: 100, outer: 140, depth: 40 } as unknown as PourItem['shape']['outer'];
  const leaf = { kind: 'leaf', area: 60_000, middle: 22, edge: 13 } as const;
  it.each<[(typeof placingWays)[number], Partial<PourItem>, PourPlan['mix']]>([
    ['poured round a core', {}, sandCement()],
    ['poured solid', { shape: bowl }, sandCement()],
    ['packed', { shape: bowl }, sandCement(3)],
    ['packed', {}, { ...sandCement(5), packed: true }],
    ['slab', { shape: bowl, piece: 'slab' }, sandCement()],
    ['panel', { shape: bowl, piece: 'panel' }, sandCement()],
    ['leaf on sand', { shape: { ...bowl, outer: leaf } }, sandCement(2)],
    ['strips on a board', { shape: { ...bowl, outer: ring } }, sandCement()],
    ['pressed over a form', { shape: { ...bowl, pressed: { side: 'over', thickness: 20 } } }, sandCement(2)],
    ['pressed inside a form', { shape: { ...bowl, pressed: { side: 'inside', thickness: 20 } } }, sandCement(2)],
    ['pressed against a form', { shape: { ...bowl, pressed: { side: 'against', thickness: 20 } } }, sandCement(2)],
  ])('is %s', (way, over, mix) => expect(placingOf(item(over), { mix })).toBe(way));

  it('goes in one lift where the mould is low or the mix is quick, and in two where it is meshed', () => {
    expect(isOneLift(item({}), plan({}))).toBe(false);
    expect(isOneLift(item({ fillTo: 50 }), plan({}))).toBe(true);
    expect(isOneLift(item({}), plan({ binderClass: 'gypsum' }))).toBe(true);
    expect(isOneLift(item({ mesh: true }), plan({ binderClass: 'gypsum' }))).toBe(false);
  });
});

describe('its steps', () => {
  it('of a pressed shell pour nothing and tap no bubbles out, and name its thickness and its pin', () => {
    const text = words({ mix: sandCement(2) }, { shape: { ...bowl, pressed: { side: 'over', thickness: 20 } } });
    expect(text).toMatch(/foot of the form.*20\.0 mm thick everywhere/);
    expect(text).not.toMatch(/\bpour|bubbles|fifth/i);
    expect(text).toMatch(/Smooth the face with a damp glove/);
  });

  it('of a leaf begin in the middle and stop at the edge, thick as it was measured', () => {
    const leaf = { kind: 'leaf', area: 60_000, middle: 22, edge: 13 } as const;
    expect(words({ mix: sandCement(2) }, { shape: { ...bowl, outer: leaf }, piece: 'leaf' })).toMatch(
      /in the middle, 22\.0 mm thick.*the edge, 13\.0 mm.*not over it/,
    );
  });

  it('of a pot pour round the core, and of a solid one name no core', () => {
    expect(words({})).toMatch(/all round the core/);
    expect(words({}, { shape: bowl })).not.toMatch(/core/);
  });

  it('of what sets in minutes have no lifts and no long tapping, and all within seven tenths of the pot life', () => {
    for (const key of ['gypsum', 'quick']) {
      const { mix, binderClass } = starter(key);
      const [placing] = placingsOf(plan({ items: [item({ count: 3 })], mix, binderClass }));
      const text = placing!.steps.map((one) => english(one.text)).join(' ');
      expect(text).toMatch(/each filled before the next/);
      expect(text).not.toMatch(/fifth|third|20 to 60/);
      expect(placing!.steps[0]!.within).toBeCloseTo(0.7 * (binderClass === 'gypsum' ? 8 : 10), 6);
    }
  });

  it('of a slab are struck, edged and broomed in their windows, which move with the cold', () => {
    const of = (temperature: number) => placingsOf(plan({ temperature, items: [item({ shape: bowl, piece: 'slab' })] }))[0]!.steps; // prettier-ignore
    expect(english(of(20)).map(({ key }) => key)).toEqual(['first', 'rest', 'tap', 'strike', 'float', 'first-edge', 'second-edge', 'broom', 'cover']); // prettier-ignore
    const broom = (temperature: number) => of(temperature).find(({ key }) => key === 'broom')!.window!;
    expect(broom(20)[0]).toBeCloseTo(0.35 * 4.5 * 60, 6);
    expect(broom(8)[0]).toBeGreaterThan(broom(20)[0]);
  });

  it('with mesh lay it between two lifts, while the first is plastic', () => {
    const [placing] = placingsOf(plan({ items: [item({ mesh: true, shape: bowl, piece: 'panel' })] }));
    const keys = placing!.steps.map(({ key }) => key);
    expect(keys.indexOf('mesh')).toBe(keys.indexOf('first') + 1);
    expect(keys.indexOf('rest')).toBe(keys.indexOf('mesh') + 1);
    expect(placing!.steps.find(({ key }) => key === 'mesh')!.within).toBeCloseTo(0.35 * 4.5 * 60, 6);
  });

  it('of several moulds are taken in turn, so that they match; of chips and marbling say so', () => {
    expect(words({}, { count: 3 })).toMatch(/every mould to the first line before any is filled up/);
    expect(words({})).not.toMatch(/every mould to the first line/);
    const chips = { ...sandCement(), doses: [{ material: material('chips'), amount: 0.2 }] };
    expect(words({ mix: chips })).toMatch(/Chips: press/);
  });

  it('are there for every way, each with a cover at its end, and none says a thing twice', () => {
    const shapes: Partial<PourItem>[] = [{}, { shape: bowl }, { shape: bowl, piece: 'slab' }, { shape: nestedPot, piece: 'panel' }, { shape: { ...bowl, pressed: { side: 'inside', thickness: 15 } } }]; // prettier-ignore
    for (const { key } of starters)
      for (const shape of shapes) {
        const { steps } = placingsOf(plan({ ...starter(key), items: [item(shape)] }))[0]!;
        expect(english(steps).at(-1)!.key).toBe('cover');
        expect(new Set(steps.map(({ text }) => english(text))).size).toBe(steps.length);
      }
  });
});
