import { screen } from '@testing-library/react';
import type { Role } from '@dewpot/contract';
import { describe, expect, it, vi } from 'vitest';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { cast, HOUR, NOW, session } from '../../test/stand-ins';
import { Round } from '../shelf/today';
import { WorkshopPage } from '../workshop/workshop-page';
import { EditDialog } from './edit-dialog';
import { KeepBar } from './keep-bar';
import { PageHead } from './page-head';

const as = (role: Role) => ({ ...session, person: { ...session.person, role } });
const show = (element: React.ReactNode, role: Role) => renderScreen(element, '/here', '/here', as(role));
const idle = { isPending: false, failureCount: 0, error: null };

const due = { task: 'demould' as const, early: NOW - 2 * HOUR, good: NOW - HOUR, late: NOW + HOUR };
const round = <Round casts={[cast('1a', { stage: 'setting', dues: [due] })]} now={NOW} whole onDo={vi.fn()} />;

describe('what one’s role does not allow is not offered', () => {
  it.each([
    ['guest', false],
    ['helper', false],
    ['caster', true],
    ['owner', true],
  ] as const)('to a %s: saving and adding %s', (role, may) => {
    show(
      <>
        <PageHead title="Moulds" to="/moulds/new" add="Measure a mould" />
        <EditDialog title="A scoop" busy={false} error={null} onSave={vi.fn()} onRemove={vi.fn()} onClose={vi.fn()}>
          it holds 1 L
        </EditDialog>
        <KeepBar what="mould" save={idle} disabled={false} onKeep={vi.fn()} />
      </>,
      role,
    );
    const told = [
      screen.queryByRole('link', { name: 'Measure a mould' }),
      screen.queryByRole('button', { name: 'Save', hidden: true }),
      screen.queryByRole('button', { name: 'Delete', hidden: true }),
      screen.queryByRole('button', { name: 'Save mould', hidden: true }),
    ];
    expect(told.map((one) => one !== null)).toEqual(told.map(() => may));
    expect(screen.queryAllByText(/Casters and owners save/)).toHaveLength(may ? 0 : 2);
    expect(screen.getByText('it holds 1 L')).toBeInTheDocument();
  });

  it('a guest reads the tasks of Today, a helper does them', () => {
    show(round, 'guest');
    expect(screen.getByText('Demould')).toBeVisible();
    expect(screen.queryByRole('button')).toBeNull();
    show(round, 'helper');
    expect(screen.getByRole('button', { name: /^Demould: / })).toBeVisible();
    expect(screen.getByRole('button', { name: /^Postpone/ })).toBeVisible();
  });

  it('a guest sees of the workshop what is theirs', async () => {
    fakeServer();
    show(<WorkshopPage />, 'guest');
    expect(await screen.findByRole('heading', { name: 'Set where it is used' })).toBeVisible();
    expect(screen.queryByRole('heading', { name: 'How you work' })).toBeNull();
    expect(screen.queryByRole('heading', { name: 'All data' })).toBeNull();
  });
});
