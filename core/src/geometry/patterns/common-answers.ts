import { computed, figure, line, msg, type Message } from '../../foundation/units/index.js';
import type { RectFrustum } from '../solids/index.js';
import type { PatternAnswer } from './cut-part.js';

/** A straight box as a solid, mm. */
export const straightBox = (length: number, width: number, height: number): RectFrustum => ({
  kind: 'rect-frustum',
  bottomLength: length,
  bottomWidth: width,
  topLength: length,
  topWidth: width,
  height,
  cornerRadius: 0,
});

/** What a volume of fresh mix weighs: mL, kg/L. `of`: what has that volume. */
export const freshMass = (volume: number, density: number, of: Message = msg('patterns.cavity')): PatternAnswer => ({
  name: msg('patterns.freshMass'),
  figure: figure(volume * density, 'g', computed, [
    line(of, volume, 'mL'),
    line(msg('patterns.freshDensity'), density, 'kg/L'),
    line(msg('patterns.freshMass'), volume * density, 'g'),
  ]),
});
