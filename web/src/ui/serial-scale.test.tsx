import { act, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { ScalePanel } from '../bench/scale-panel';
import { useScale } from './use-scale';

/** A cable on which lines are sent by hand. */
let cable: ReadableStreamDefaultController<Uint8Array>;
const port = {
  open: vi.fn((_: { baudRate: number }) => Promise.resolve()),
  close: vi.fn(() => Promise.resolve()),
  get readable() {
    return new ReadableStream<Uint8Array>({ start: (controller) => void (cable = controller) });
  },
};
const requestPort = vi.fn(() => Promise.resolve(port));
const sends = (text: string) => act(() => Promise.resolve(cable.enqueue(new TextEncoder().encode(text))));

const Bench = () => <ScalePanel scale={useScale(true)} wanted={500} what="Sharp sand" onTake={() => undefined} />;
beforeEach(() => {
  fakeServer();
  Object.assign(navigator, { serial: { requestPort } });
});
afterEach(() => {
  Reflect.deleteProperty(navigator, 'serial');
});

it('a scale on a cable is read line by line, zeroed here, and let go when its cable is drawn', async () => {
  renderScreen(<Bench />);
  await userEvent.click(await screen.findByRole('button', { name: 'Read a scale by its cable' }));
  expect(port.open).toHaveBeenCalledWith({ baudRate: 9600 });
  await sends('ST,GS,+  0.4');
  await sends('12 kg\r\nOL\r\n');
  expect(await screen.findByText('412 g')).toBeVisible();
  expect(screen.queryByText(/simulated scale/i)).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'Zero it' }));
  await sends('ST,GS,+  0.500 kg\r\n');
  expect(await screen.findByText('88 g')).toBeVisible();
  await act(() => Promise.resolve(cable.close()));
  expect(await screen.findByRole('button', { name: 'Read a scale by its cable' })).toBeVisible();
  expect(port.close).toHaveBeenCalled();
});

it('a port that cannot be opened is told; that none was chosen is not', async () => {
  renderScreen(<Bench />);
  const connect = await screen.findByRole('button', { name: 'Read a scale by its cable' });
  requestPort.mockRejectedValueOnce(new DOMException('None chosen.', 'NotFoundError'));
  await userEvent.click(connect);
  expect(screen.queryByRole('alert')).toBeNull();
  port.open.mockRejectedValueOnce(new DOMException('Busy.', 'NetworkError'));
  await userEvent.click(connect);
  expect(await screen.findByRole('alert')).toHaveTextContent(/could not be opened/);
});
