import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Link, MemoryRouter } from 'react-router';
import { describe, expect, it, vi } from 'vitest';
import { Renewal, useRenewal } from './renewal';

function Renews({ renewal }: { renewal: Renewal }) {
  useRenewal(renewal);
  return <Link to="/moulds">Elsewhere</Link>;
}

/** A screen from which one may go to another. */
function open() {
  const [ask, load] = [vi.fn(), vi.fn()];
  const renewal = new Renewal(ask, load);
  const client = new QueryClient();
  render(
    <QueryClientProvider client={client}>
      <MemoryRouter initialEntries={['/pours/new']}>
        <Renews renewal={renewal} />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return { ask, load, renewal, client, leave: () => userEvent.click(screen.getByText('Elsewhere')) };
}

describe('a newer Dew Pot', () => {
  it('is loaded with the next screen, not under what is typed', async () => {
    const { ask, load, renewal, leave } = open();
    renewal.waits();
    expect(ask).not.toHaveBeenCalled();
    await leave();
    expect(ask).toHaveBeenCalledOnce();
    expect(load).not.toHaveBeenCalled();
    renewal.tookCharge();
    expect(load).toHaveBeenCalledOnce();
  });

  it('that another page asked for is loaded with the next screen too', async () => {
    const { ask, load, renewal, leave } = open();
    renewal.waits();
    renewal.tookCharge();
    expect(load).not.toHaveBeenCalled();
    await leave();
    expect(load).toHaveBeenCalledOnce();
    expect(ask).not.toHaveBeenCalled();
  });

  it('waits while something is on its way to the server, and is none where none came', async () => {
    const { ask, load, renewal, client, leave } = open();
    const sending = client.getMutationCache().build(client, { mutationFn: () => new Promise(() => undefined) });
    void sending.execute(undefined);
    renewal.waits();
    await leave();
    const other = new Renewal(ask, load);
    other.wentElsewhere(0);
    expect([ask, load].some(({ mock }) => mock.calls.length > 0)).toBe(false);
  });
});
