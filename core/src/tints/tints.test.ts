import fc from 'fast-check';
import { expect, it } from 'vitest';
import { faceColour, wetReflectance } from './index.js';

it('a wet face is never lighter than the dry one, and darker where the model holds', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (dry) => {
      expect(wetReflectance(dry)).toBeLessThanOrEqual(dry);
    }),
  );
  expect(wetReflectance(0.4)).toBeLessThan(0.3);
});

it('a face pales from its wet to its dry colour', () => {
  expect(faceColour('#b9b2a6', 0)).toBe('#b9b2a6');
  expect(faceColour('#b9b2a6', 1) < faceColour('#b9b2a6', 0.5)).toBe(true);
  expect(() => faceColour('clay', 0.5)).toThrow(/not a colour/);
});
