import { expect, it } from 'vitest';
import { readScaleLine } from './scale-line.js';

it.each([
  ['ST,GS,+  1.234 kg', 1234, 1],
  ['US,GS,-  0.5kg', -500, 100],
  ['412,5g', 412.5, 0.1],
  ['  -   12 g ', -12, 1],
  ['N+ 2.205 lb', 1000.17, 0.45],
  ['8 oz', 226.8, 28.3],
])('reads “%s”', (line, mass, step) => {
  const read = readScaleLine(line)!;
  expect(read.mass).toBeCloseTo(mass, 1);
  expect(read.step).toBeCloseTo(step, 1);
});

it.each(['', 'OL', 'ST,GS,+------ kg', '12', '99999999 kg', `${' '.repeat(90)}5 g`, '5 gallons'])(
  'finds no mass in “%s”',
  (line) => expect(readScaleLine(line)).toBeUndefined(),
);
