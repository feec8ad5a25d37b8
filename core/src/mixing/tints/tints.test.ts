import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import {
  absorptionOf,
  tintedBase,
  colourDifference,
  nearestColours,
  doubtOf,
  effectiveDoses,
  faceColour,
  fitStrength,
  hexOf,
  labDifference,
  lookOf,
  reflectanceOf,
  searchTints,
  spectrumOf,
  STRENGTH,
  wetReflectance,
  xyzOf,
  type Colourant,
  type Lab,
  type Spectrum,
} from './index.js';

const flat = (r: number): Spectrum => Array.from({ length: 16 }, () => r);
const pigment = (hex: string, strength = STRENGTH, levelling = 4): Colourant => ({
  spectrum: spectrumOf(hex),
  strength,
  levelling,
});
const base = spectrumOf('#dcd7cc');
const shelf = {
  red: pigment('#7a2418'),
  yellow: pigment('#b07a1e'),
  green: pigment('#3d5e35'),
  black: pigment('#1d1d1f', STRENGTH, 2),
  blue: pigment('#2f4a78'),
  white: pigment('#f4f3ee'),
  brown: pigment('#4a2f20'),
  orange: pigment('#a2501f'),
};
const keys = Object.keys(shelf) as (keyof typeof shelf)[];

describe('ΔE00', () => {
  it.each<[Lab, Lab, number]>([
    [[50, 2.6772, -79.7751], [50, 0, -82.7485], 2.0425],
    [[50, 3.1571, -77.2803], [50, 0, -82.7485], 2.8615],
    [[50, 2.8361, -74.02], [50, 0, -82.7485], 3.4412],
    [[50, -1.3802, -84.2814], [50, 0, -82.7485], 1],
    [[50, 0, 0], [50, -1, 2], 2.3669],
    [[50, 2.49, -0.001], [50, -2.49, 0.0009], 7.1792],
    [[50, 2.49, -0.001], [50, -2.49, 0.0011], 7.2195],
    [[50, -0.001, 2.49], [50, 0.0009, -2.49], 4.8045],
    [[50, -0.001, 2.49], [50, 0.0011, -2.49], 4.7461],
    [[50, 2.5, 0], [50, 0, -2.5], 4.3065],
    [[50, 2.5, 0], [73, 25, -18], 27.1492],
    [[50, 2.5, 0], [61, -5, 29], 22.8977],
    [[50, 2.5, 0], [56, -27, -3], 31.903],
    [[50, 2.5, 0], [58, 24, 15], 19.4535],
    [[50, 2.5, 0], [50, 3.1736, 0.5854], 1],
    [[60.2574, -34.0099, 36.2677], [60.4626, -34.1751, 39.4387], 1.2644],
    [[63.0109, -31.0961, -5.8663], [62.8187, -29.7946, -4.0864], 1.263],
    [[61.2901, 3.7196, -5.3901], [61.4292, 2.248, -4.962], 1.8731],
    [[35.0831, -44.1164, 3.7933], [35.0232, -40.0716, 1.5901], 1.8645],
    [[22.7233, 20.0904, -46.694], [23.0331, 14.973, -42.5619], 2.0373],
    [[36.4612, 47.858, 18.3852], [36.2715, 50.5065, 21.2231], 1.4146],
    [[90.8027, -2.0831, 1.441], [91.1528, -1.6435, 0.0447], 1.4441],
    [[90.9257, -0.5406, -0.9208], [88.6381, -0.8985, -0.7239], 1.5381],
    [[6.7747, -0.2908, -2.4247], [5.8714, -0.0985, -2.2286], 0.6377],
    [[2.0776, 0.0795, -1.135], [0.9033, -0.0636, -0.5514], 0.9082],
  ])('of %j and %j is the published %d', (a, b, published) => {
    expect(labDifference(a, b)).toBeCloseTo(published, 4);
    expect(labDifference(b, a)).toBeCloseTo(published, 4);
  });
});

describe('a reflectance', () => {
  it('that throws all light back is white, and one that throws half back is grey', () => {
    expect(xyzOf(flat(1))).toEqual([expect.closeTo(0.95047, 9), expect.closeTo(1, 9), expect.closeTo(1.08883, 9)]);
    expect(hexOf(flat(1))).toBe('#ffffff');
    expect(colourDifference(flat(0.2140411), '#7f7f7f')).toBeLessThan(0.8);
  });
  it('is near another one as the eye sees it: the nearest come first', () => {
    const among = [{ name: 'clay', colour: '#a9502f' }, { name: 'moss', colour: '#4e6535' }, { name: 'brick', colour: '#b1563f' }]; // prettier-ignore
    const near = nearestColours('#b0553d', among, 2);
    expect(near.map(({ name }) => name)).toEqual(['brick', 'clay']);
    expect(near[0]!.away).toBeLessThan(1);
    expect(near[0]!.away).toBe(colourDifference('#b0553d', '#b1563f'));
  });
  it('made of a display colour gives that colour back, band by band between nothing and all', () => {
    const channel = fc.integer({ min: 20, max: 247 });
    fc.assert(
      fc.property(channel, channel, channel, (r, g, b) => {
        const hex = `#${[r, g, b].map((n) => n.toString(16).padStart(2, '0')).join('')}`;
        const spectrum = spectrumOf(hex);
        expect(colourDifference(spectrum, hex)).toBeLessThan(0.5);
        for (const one of spectrum) expect(one > 0 && one < 1).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
  it('is made for black and white too, and for no word', () => {
    for (const hex of ['#000000', '#ffffff']) expect(colourDifference(spectrumOf(hex), hex)).toBeLessThan(6);
    expect(() => spectrumOf('clay')).toThrow(/not a colour/);
  });
});

describe('pigment in a base', () => {
  it('follows the worked case: base 0.35, oxide 0.05 at 5 %, levelling off at 4 %, strength 40', () => {
    const oxide: Colourant = { spectrum: flat(0.05), strength: 40, levelling: 4 };
    expect(tintedBase(flat(0.35), [{ colourant: oxide, dose: 5 }])[4]).toBeCloseTo(0.0826, 4);
  });
  it('absorbs as Kubelka and Munk say, there and back', () => {
    expect(absorptionOf(0.5)).toBeCloseTo(0.25, 12);
    for (const r of [0.02, 0.35, 0.9]) expect(reflectanceOf(absorptionOf(r))).toBeCloseTo(r, 12);
  });
  it('pulls in full while there is little, and less and less on the total', () => {
    const dosed = (...doses: number[]) => effectiveDoses(doses.map((dose) => ({ colourant: shelf.red, dose })));
    expect(dosed(0.001)[0]).toBeCloseTo(0.001, 6);
    expect(dosed(4)[0]).toBeCloseTo(4 * (1 - Math.exp(-1)), 9);
    expect(dosed(2, 2).reduce((sum, e) => sum + e, 0)).toBeCloseTo(dosed(4)[0]!, 9);
    expect(dosed(0)).toEqual([0]);
  });
  it('never lightens a band in which it is darker than the base', () => {
    const dose = fc.double({ min: 0, max: 10, noNaN: true });
    fc.assert(
      fc.property(fc.constantFrom(...keys), dose, dose, (key, a, b) => {
        const [less, more] = [Math.min(a, b), Math.max(a, b)];
        const at = (n: number) => tintedBase(base, [{ colourant: shelf[key], dose: n }]);
        at(more).forEach((r, band) => {
          if (shelf[key].spectrum[band]! < base[band]!) expect(r).toBeLessThanOrEqual(at(less)[band]! + 1e-12);
        });
      }),
    );
  });
});

describe('looks', () => {
  const dry = spectrumOf('#b28d74');
  it('darken from penetrating over matt and film to wet; the fresh mix looks wet', () => {
    const light = (look: Parameters<typeof lookOf>[1]) => xyzOf(lookOf(dry, look))[1];
    const order = ['dry', 'penetrating', 'matt', 'film', 'wet'] as const;
    const lights = order.map(light);
    expect(lights).toEqual([...lights].sort((a, b) => b - a));
    expect(lookOf(dry, 'fresh')).toEqual(lookOf(dry, 'wet'));
    const band = dry[9]!;
    expect(lookOf(dry, 'film')[9]).toBeCloseTo(band + 0.7 * (wetReflectance(band) - band), 12);
  });
  it('a wet face is never lighter than the dry one, by the formula of Lekner and Dorf', () => {
    const p = 1 - (1 - 0.066) / 1.33 ** 2;
    expect(wetReflectance(0.4)).toBeCloseTo(1 - (0.98 * 0.6) / (1 - p * 0.4), 12);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (r) => {
        expect(wetReflectance(r)).toBeLessThanOrEqual(r);
      }),
    );
  });
  it('a face pales from its wet to its dry colour', () => {
    expect(faceColour('#b9b2a6', 0)).toBe('#b9b2a6');
    expect(faceColour('#b9b2a6', 1) < faceColour('#b9b2a6', 0.5)).toBe(true);
    expect(() => faceColour('clay', 0.5)).toThrow(/not a colour/);
  });
});

describe('chips', () => {
  const chip = (dose: number, strength: number) => ({
    base,
    dose,
    measured: hexOf(tintedBase(base, [{ colourant: pigment('#7a2418', strength), dose }])),
  });
  it('tell a pigment’s strength, the more surely the more there are, and better what is predicted', () => {
    const one = fitStrength(shelf.red, [chip(1, 90)]);
    const five = fitStrength(
      shelf.red,
      [0.5, 1, 2, 3, 5].map((dose) => chip(dose, 90)),
    );
    expect(Math.abs(five.strength - 90)).toBeLessThanOrEqual(Math.abs(one.strength - 90) + 0.5);
    expect(five.strength).toBeGreaterThan(80);
    expect(five.after).toBeLessThan(five.before / 3);
    expect(five.chips).toBe(5);
  });
  it('none: the handbook’s strength; one without pigment is refused', () => {
    expect(fitStrength(shelf.red, [])).toEqual({ strength: STRENGTH, chips: 0, before: 0, after: 0 });
    expect(() => fitStrength(shelf.red, [chip(0, 90)])).toThrow(InputError);
  });
  it('narrow the band of doubt, on both sides of the prediction', () => {
    const width = (chips: number) => {
      const { weaker, stronger } = doubtOf(base, [{ colourant: shelf.red, dose: 2, chips }]);
      const middle = xyzOf(tintedBase(base, [{ colourant: shelf.red, dose: 2 }]))[1];
      expect(xyzOf(weaker)[1]).toBeGreaterThan(middle);
      expect(xyzOf(stronger)[1]).toBeLessThan(middle);
      return colourDifference(weaker, stronger);
    };
    expect(width(0)).toBeGreaterThan(width(1));
    expect(width(1)).toBeGreaterThan(width(4));
  });
});

describe('a search for a wanted colour', () => {
  const pigments = keys.map((id) => ({ id, colourant: shelf[id] }));
  it('finds a hidden recipe’s own colour again, in fifty seeded cases', () => {
    let seed = 7;
    const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
    for (let i = 0; i < 50; i++) {
      const [a, b] = [keys[Math.floor(random() * 8)]!, keys[Math.floor(random() * 8)]!];
      const hidden = [
        { colourant: shelf[a], dose: 0.3 + 2 * random() },
        ...(a === b ? [] : [{ colourant: shelf[b], dose: 0.3 + 2 * random() }]),
      ];
      const wanted = hexOf(tintedBase(base, hidden));
      const few = pigments.filter(({ id }) => id === a || id === b || id === 'black');
      const [best] = searchTints({ base, wanted, pigments: few });
      expect(best!.away, `${a} with ${b}`).toBeLessThan(1);
    }
  });
  it('answers up to three under the ceiling, nearest first, with what they cost', () => {
    const priced = pigments.map((one) => ({ ...one, price: 0.01 }));
    const found = searchTints({ base, wanted: '#7f8a6a', pigments: priced, ceiling: 4 });
    expect(found.length).toBeGreaterThan(0);
    expect(found.length).toBeLessThanOrEqual(3);
    for (const { doses, cost } of found) {
      const all = doses.reduce((sum, { dose }) => sum + dose, 0);
      expect(all).toBeLessThanOrEqual(4 + 1e-9);
      expect(cost).toBeCloseTo(all * 10 * 0.01, 9);
    }
    expect(found.map(({ away }) => away)).toEqual(found.map(({ away }) => away).sort((x, y) => x - y));
  });
  it('out of reach answers the nearest and how far it is; it tells how far it is and can be stopped', () => {
    const told: number[] = [];
    const [best] = searchTints({ base, wanted: '#00a0ff', pigments }, { progress: (share) => told.push(share) });
    expect(best!.away).toBeGreaterThan(10);
    expect(told.at(-1)).toBe(1);
    expect(searchTints({ base, wanted: '#7f8a6a', pigments }, { stopped: () => true })).toEqual([]);
    expect(() => searchTints({ base, wanted: '#7f8a6a', pigments: [] })).toThrow(/pigments/);
    expect(() => searchTints({ base, wanted: '#7f8a6a', pigments, ceiling: 12 })).toThrow(/ceiling/);
  });
});
