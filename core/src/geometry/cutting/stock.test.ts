import { expect, it } from 'vitest';
import { sheetsOf, sticksOf, type KeyedStock } from './index.js';

const one = (id: string, more: Partial<KeyedStock>): KeyedStock => ({ id, kind: 'sheet', length: 1220, width: 610, thickness: 12, count: 2, ...more }); // prettier-ignore
const stock = [
  one('ply', { price: 14 }),
  one('worn', { thickness: 11.5 }),
  one('thick', { thickness: 18 }),
  one('gone', { count: 0 }),
  one('board', { kind: 'stick', length: 2400, width: 95, price: 6 }),
  one('wide', { kind: 'stick', length: 2400, width: 145 }),
  one('mesh', { kind: 'mesh', thickness: 1.2 }),
];
const keys = (of: readonly { readonly key: string }[]) => of.map(({ key }) => key);

it('sheets of about a thickness are offered, with their prices; those that are used up are not', () => {
  expect(keys(sheetsOf(stock, 12))).toEqual(['ply', 'worn']);
  expect(sheetsOf(stock, 12)[0]).toEqual({ key: 'ply', length: 1220, width: 610, count: 2, price: 14 });
  expect(sheetsOf(stock, 5)).toEqual([]);
});

it('mesh is offered whatever its wire', () => {
  expect(keys(sheetsOf(stock, 1, 'mesh'))).toEqual(['mesh']);
});

it('sticks are offered where they are thick and wide enough', () => {
  expect(keys(sticksOf(stock, 12, 90))).toEqual(['board', 'wide']);
  expect(keys(sticksOf(stock, 12, 120))).toEqual(['wide']);
  expect(sticksOf(stock, 12, 200)).toEqual([]);
});
