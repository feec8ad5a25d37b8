import { describe, expect, it } from 'vitest';
import { countedLines, lineAgain, linesAsked, orderAddress } from './order-address';

const asked = (address: string) => linesAsked(new URL(address, 'http://dew.pot').searchParams);

describe('the address of an order', () => {
  it('holds lines with and without a mix, a tint, a number and a joint', () => {
    const lines = [
      { mouldId: 'a', mixId: 'x', count: 2, joining: 120 },
      { mouldId: 'b' },
      { mouldId: 'c', mixId: 'y', tintId: 'brick', count: 1 },
    ];
    expect(asked(orderAddress(lines))).toEqual(lines);
  });

  it('says what it can of an address that somebody typed, and of no more than 30 lines', () => {
    expect(asked('/calendar')).toEqual([]);
    expect(asked('/calendar?mould=&mix=x')).toEqual([]);
    expect(asked('/calendar?mould=a&count=-3&joining=soon')).toEqual([{ mouldId: 'a' }]);
    expect(asked(orderAddress(Array.from({ length: 40 }, (_, i) => ({ mouldId: `${i}` }))))).toHaveLength(30);
  });

  it('counts equal pieces together, and takes mix and tint from what was poured', () => {
    const item = { mouldId: 'a', count: 3, colouring: { kind: 'solid', parts: [{ tint: 'brick' }] } } as never;
    const line = lineAgain(item, 'x');
    expect(line).toEqual({ mouldId: 'a', mixId: 'x', tintId: 'brick', count: 3 });
    const lines = countedLines([{ ...line, count: 1 }, { mouldId: 'b' }, { ...line, count: 1 }, { mouldId: 'a', mixId: 'x' }]); // prettier-ignore
    expect(lines.map(({ mouldId, count }) => `${count} ${mouldId}`)).toEqual(['2 a', '1 b', '1 a']);
  });
});
