import { fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { renderInside } from '../../test/stand-ins';
import { RehearsalPage } from './rehearsal-page';

vi.mock('../ui/chart', () => ({ Chart: ({ label }: { label: string }) => <div role="img" aria-label={label} /> }));
beforeEach(() => localStorage.clear());

describe('trying it first', () => {
  it('sets two ways beside each other and says what comes of each', async () => {
    renderInside(<RehearsalPage />);
    await userEvent.click(screen.getByRole('button', { name: 'Set one beside it' }));
    const another = screen.getByRole('region', { name: 'Another way' });
    await userEvent.selectOptions(within(another).getByLabelText('It stands in'), 'A heatwave, in the yard');
    await userEvent.selectOptions(within(another).getByLabelText('Under'), 'open');
    expect(screen.getByRole('region', { name: 'What comes of one way' })).toHaveTextContent('stayed damp');
    expect(screen.getByRole('region', { name: 'What comes of another' })).toHaveTextContent('it crazes and dusts');
  });

  it('plays a lesson: only what it asks is open, and once it went well that is kept', async () => {
    renderInside(<RehearsalPage />);
    await userEvent.click(screen.getByRole('tab', { name: 'Sealed too soon' }));
    expect(screen.queryByLabelText('Wetted')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'See what comes of it' }));
    expect(screen.getByRole('status')).toHaveTextContent('the film blisters');
    await userEvent.selectOptions(screen.getByLabelText('It stands in'), 'A warm, dry room');
    fireEvent.change(screen.getByLabelText(/Coated on/), { target: { value: '336' } });
    await userEvent.click(screen.getByRole('button', { name: 'See what comes of it' }));
    expect(screen.getByRole('status')).toHaveTextContent('That is how');
    expect(screen.getByRole('status')).toHaveTextContent('Colour tells nothing');
    expect(localStorage.getItem('dew-pot-lessons')).toBe('sealed too soon');
  });
});
