import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import { english } from '@dewpot/locales/testing';
import { useFileWork } from './use-file-work';

const ended = vi.fn();
class FakeWorker {
  onerror: ((event: { preventDefault: () => void }) => void) | null = null;
  terminate = ended;
  constructor() {
    workers.push(this);
  }
}
const workers: FakeWorker[] = [];
vi.mock('comlink', () => ({ wrap: () => ({}), proxy: (told: unknown) => told }));

function Screen({ job }: { job: () => Promise<never> }) {
  const { done, issues, run, stop } = useFileWork();
  return (
    <>
      <button onClick={() => void run(job)}>Read</button>
      <button onClick={stop}>Stop</button>
      {done !== undefined && <p>at work</p>}
      {issues.map(({ message }) => (
        <p key={message.key}>{english(message)}</p>
      ))}
    </>
  );
}
const begin = async (job: () => Promise<never>) => {
  vi.stubGlobal('Worker', FakeWorker);
  render(<Screen job={job} />);
  await userEvent.click(screen.getByRole('button', { name: 'Read' }));
};
afterEach(() => {
  vi.unstubAllGlobals();
  ended.mockClear();
  workers.length = 0;
});

it('a job that throws is told of, and its worker is asked no more', async () => {
  await begin(() => Promise.reject(new Error('out of memory')));
  expect(await screen.findByText(/could not be read: Error: out of memory/)).toBeVisible();
  expect(screen.queryByText('at work')).toBeNull();
  expect(ended).toHaveBeenCalledOnce();
});

it('a worker that dies without an answer is told of', async () => {
  await begin(() => new Promise(() => {}));
  expect(screen.getByText('at work')).toBeVisible();
  workers[0]!.onerror!({ preventDefault: () => {} });
  expect(await screen.findByText(/too large for this browser/)).toBeVisible();
});

it('a stop ends the work at once', async () => {
  await begin(() => new Promise(() => {}));
  await userEvent.click(screen.getByRole('button', { name: 'Stop' }));
  expect(screen.queryByText('at work')).toBeNull();
  expect(ended).toHaveBeenCalledOnce();
});
