import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { cast, castDetail } from '../../test/stand-ins';
import { JoinPage } from './assembly-page';

describe('joining', () => {
  it('shows what holds, how much of it and what speaks against it, and joins', async () => {
    const whole = castDetail(cast('1a+1b'));
    const sent = fakeServer({
      casts: [cast('1a'), cast('1b'), cast('9z', { stage: 'setting' })],
      'POST articles': whole,
    });
    renderScreen(<JoinPage />);
    const put = await screen.findByLabelText('Put on');
    expect(screen.queryByText(/9z/)).toBeNull();
    await userEvent.selectOptions(put, 'id-1a');
    await userEvent.selectOptions(put, 'id-1b');
    const answers = screen.getByRole('region', { name: 'What it implies' });
    expect(answers).toHaveTextContent('1b does not touch 1a');
    await userEvent.click(screen.getAllByLabelText('on its head')[0]!);
    expect(answers).not.toHaveTextContent('does not touch');
    expect(answers).toHaveTextContent('360 mm high');
    await userEvent.click(screen.getByLabelText('heat'));
    expect(screen.queryByText('Two-part epoxy')).toBeNull();
    await userEvent.type(screen.getByLabelText('What is it called?'), 'Hourglass');
    await userEvent.click(screen.getByRole('button', { name: 'Assembled just now' }));
    await waitFor(() => expect(sent.map(({ method, path }) => `${method} ${path}`)).toEqual(['POST articles']));
    expect(sent[0]!.body).toMatchObject({
      name: 'Hourglass',
      bond: 'mortar',
      uses: ['outdoors', 'heat'],
      parts: [
        { castId: 'id-1a', over: false },
        { castId: 'id-1b', over: true },
      ],
    });
  });

  it('says what to do first where there is nothing to join', async () => {
    fakeServer({ casts: [cast('1a')] });
    renderScreen(<JoinPage />);
    expect(await screen.findByText('Nothing to assemble yet')).toBeVisible();
  });
});
