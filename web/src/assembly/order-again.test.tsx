import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useLocation } from 'react-router';
import { expect, it } from 'vitest';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { cast, castDetail } from '../../test/stand-ins';
import { linesAsked } from '../ui/order-address';
import { OrderAgain } from './order-again';

const Where = () => <output>{useLocation().search}</output>;
const part = (code: string) => ({ castId: `id-${code}`, code, name: 'Bowl', shape: {} as never, colour: '', over: false }); // prettier-ignore
const article = { arrangement: 'stacked', bond: 'mortar', uses: [], parts: [part('1a'), part('1b')], joinedFaces: 0, size: { length: 300, width: 300, height: 290 } } as const; // prettier-ignore
const show = () =>
  renderScreen(
    <>
      <OrderAgain article={article} />
      <Where />
    </>,
    '/casts/x',
    '*',
  );

it('orders the parts of an article as they were poured, with the days that their mortar takes', async () => {
  const detail = (code: string) => ({ ...castDetail(cast(code)), mouldId: code, pourId: 'p' });
  const items = [
    { mouldId: '1a', count: 6, colouring: { kind: 'solid', parts: [{ tint: 'brick' }] } },
    { mouldId: '1b', count: 1, mixId: 'y' },
  ];
  fakeServer({ 'casts/id-1a': detail('1a'), 'casts/id-1b': detail('1b'), 'pours/p': { input: { mixId: 'x', items } } });
  show();
  await userEvent.click(screen.getByRole('button', { name: 'Order its parts again' }));
  await expect
    .poll(() => linesAsked(new URLSearchParams(screen.getByRole('status').textContent)))
    .toEqual([
      { mouldId: '1a', mixId: 'x', tintId: 'brick', count: 1, joining: 120 },
      { mouldId: '1b', mixId: 'y', count: 1, joining: 120 },
    ]);
});
