import { fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { fakeServer, mix } from '../../test/fake-server';
import { renderInside } from '../../test/stand-ins';
import { SimulationPage } from './simulation-page';

vi.mock('../ui/chart', () => ({ Chart: ({ label }: { label: string }) => <div role="img" aria-label={label} /> }));
beforeEach(() => localStorage.clear());

describe('trying it first', () => {
  it('sets two ways beside each other and says what comes of each', async () => {
    renderInside(<SimulationPage />);
    await userEvent.click(screen.getByRole('button', { name: 'Set one beside it' }));
    const another = screen.getByRole('region', { name: 'Another way' });
    await userEvent.selectOptions(within(another).getByLabelText('It stands in'), 'A heatwave, in the yard');
    await userEvent.selectOptions(within(another).getByLabelText('Under'), 'open');
    expect(screen.getByRole('region', { name: 'What comes of one way' })).toHaveTextContent('stayed damp');
    expect(screen.getByRole('region', { name: 'What comes of another' })).toHaveTextContent('it crazes and dusts');
  });

  it('takes a mould of the workshop, cast in another mix each way', async () => {
    const light = { ...mix, id: 'light', name: 'Perlite light', lines: [...mix.lines] };
    light.lines[1] = { materialId: 'perlite', parts: 4 };
    fakeServer({ mixes: [mix, light] });
    renderInside(<SimulationPage />);
    await screen.findByRole('option', { name: 'Nested pot' });
    expect(screen.queryByLabelText('Cast in')).toBeNull();
    await userEvent.selectOptions(screen.getByLabelText('The piece'), 'Nested pot');
    expect(screen.getByLabelText('Cast in')).toHaveDisplayValue('Garden grey');
    await userEvent.click(screen.getByRole('button', { name: 'Set one beside it' }));
    const another = screen.getByRole('region', { name: 'Another way' });
    await userEvent.selectOptions(within(another).getByLabelText('Cast in'), 'Perlite light');
    await userEvent.selectOptions(within(another).getByLabelText('Under'), 'open');
    expect(screen.getByRole('img', { name: 'Forty days of Nested pot' })).toBeVisible();
    expect(screen.getByRole('region', { name: 'What comes of one way' })).toHaveTextContent('of its 28-day strength');
    expect(screen.getByRole('region', { name: 'What comes of another' })).toHaveTextContent('lay dry');
  });

  it('says why a mix cannot be cast', async () => {
    fakeServer({ mixes: [{ ...mix, lines: [] }] });
    renderInside(<SimulationPage />);
    await screen.findByRole('option', { name: 'Nested pot' });
    await userEvent.selectOptions(screen.getByLabelText('The piece'), 'Nested pot');
    expect(screen.getByRole('alert')).toHaveTextContent('Add a binder');
  });

  it('plays a lesson: only what it asks is open, and once it went well that is kept', async () => {
    renderInside(<SimulationPage />);
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
