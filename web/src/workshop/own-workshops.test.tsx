import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { fakeServer, Refusal, renderScreen } from '../../test/fake-server';
import { session } from '../../test/stand-ins';
import * as waitingWrites from '../api/waiting';
import { PersonMenu } from '../shell/person-menu';
import { InvitedPage } from '../sign-in/invited-page';
import { DoorPage } from '../sign-in/sign-in-page';
import { OwnWorkshops } from './own-workshops';
import { RecoveryCodes } from './recovery-codes';

const two = [
  { id: session.workshop.id, name: 'Quince Yard', role: 'owner', current: true },
  { id: 'w2', name: 'Casting Club', role: 'helper', current: false },
];

describe('one’s own workshops', () => {
  it('stand with the role that one has in each, and lead to each other', async () => {
    const sent = fakeServer({ 'session/workshops': two });
    renderScreen(<OwnWorkshops />);
    expect(await screen.findByText('You are here, as an owner')).toBeVisible();
    expect(screen.getByText('As a helper')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Go to Casting Club' }));
    expect(await screen.findByText('elsewhere')).toBeVisible();
    expect(sent).toEqual([{ method: 'PUT', path: 'session/workshop', body: { workshopId: 'w2' } }]);
  });

  it('are one more by a name, and what the server refuses is said', async () => {
    const sent = fakeServer();
    renderScreen(<OwnWorkshops />);
    await userEvent.click(await screen.findByText('Begin another workshop'));
    await userEvent.click(screen.getByRole('button', { name: 'Begin' }));
    expect(sent).toEqual([]);
    await userEvent.type(screen.getByLabelText('Name of the workshop'), 'Kiln Room');
    await userEvent.click(screen.getByRole('button', { name: 'Begin' }));
    expect(await screen.findByText('elsewhere')).toBeVisible();
    expect(sent).toEqual([{ method: 'POST', path: 'session/workshops', body: { workshop: 'Kiln Room' } }]);
  });

  it('are not left while something waits to be sent', async () => {
    fakeServer({ 'session/workshops': two });
    const waiting = vi.spyOn(waitingWrites, 'useWaiting').mockReturnValue(2);
    renderScreen(<OwnWorkshops />);
    expect(await screen.findByRole('button', { name: 'Go to Casting Club' })).toBeDisabled();
    expect(screen.getByRole('status')).toHaveTextContent('2 entries wait to be sent');
    expect(screen.queryByText('Begin another workshop')).toBeNull();
    waiting.mockRestore();
  });

  it('stand under one’s name, where there are others', async () => {
    const sent = fakeServer({ 'session/workshops': two });
    renderScreen(<PersonMenu />);
    await userEvent.click(screen.getByText('Ada'));
    expect(screen.queryByRole('button', { name: 'Go to Quince Yard' })).toBeNull();
    await userEvent.click(await screen.findByRole('button', { name: 'Go to Casting Club' }));
    await waitFor(() => expect(sent).toHaveLength(1));
  });

  it('are one more by a link: whoever is signed in comes in with their account', async () => {
    const refusal = new Refusal({ status: 409, title: 'No', detail: 'You are in already.', errors: [] });
    const offer = { workshop: 'Casting Club', invitedBy: 'Ines', role: 'helper', state: 'open' };
    const sent = fakeServer({ 'POST invitations': offer, 'POST session': refusal });
    renderScreen(<InvitedPage />, '/invited#a-secret-token-of-some-length', '/invited');
    await userEvent.click(await screen.findByRole('button', { name: 'Come in as Ada' }));
    expect(await screen.findByText(/You are in already/)).toBeVisible();
    expect(sent.at(-1)).toMatchObject({ path: 'session/join', body: { token: 'a-secret-token-of-some-length' } });
  });
});

describe('recovery codes', () => {
  it('are counted, made, and shown this once', async () => {
    const codes = ['AAAA-BBBB-CCCC-DDDD', 'EEEE-FFFF-GGGG-HHHH'];
    fakeServer({ 'account/recovery': { left: 1 }, 'POST account': { codes } });
    renderScreen(<RecoveryCodes />);
    await userEvent.click(screen.getByText('Recovery codes'));
    expect(await screen.findByText(/One is left/)).toBeVisible();
    expect(screen.getByText(/made before are over/)).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Make ten codes' }));
    expect(await screen.findByText('EEEE-FFFF-GGGG-HHHH')).toBeVisible();
    expect(screen.queryByRole('button', { name: 'Make ten codes' })).toBeNull();
  });

  it('let in at the door whoever lost their passphrase; a code that is too short is said first', async () => {
    const sent = fakeServer();
    renderScreen(<DoorPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'I lost my passphrase' }));
    await userEvent.type(await screen.findByLabelText('Recovery code'), 'AAAA-BBBB');
    await userEvent.type(screen.getByLabelText('E-mail'), 'ada@example.org');
    await userEvent.type(screen.getByLabelText(/^Passphrase/), 'one that is new');
    await userEvent.click(screen.getByRole('button', { name: 'Choose it and come in' }));
    expect(await screen.findByText('Type all sixteen letters and digits.')).toBeVisible();
    expect(sent).toEqual([]);
    await userEvent.type(screen.getByLabelText('Recovery code'), '-CCCC-DDDD');
    await userEvent.click(screen.getByRole('button', { name: 'Choose it and come in' }));
    await waitFor(() =>
      expect(sent.at(-1)).toMatchObject({ path: 'session/recover', body: { code: 'AAAA-BBBB-CCCC-DDDD' } }),
    );
    await userEvent.click(screen.getByRole('button', { name: 'I have a workshop: sign in' }));
    expect(screen.getByRole('button', { name: 'Sign in' })).toBeVisible();
  });
});
