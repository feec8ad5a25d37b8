import { startAuthentication, startRegistration } from '@simplewebauthn/browser';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { NOW } from '../../test/stand-ins';
import { DoorPage } from '../sign-in/sign-in-page';
import { passkeyPlace } from '../ui/passkey-place';
import { Passkeys } from './passkeys';

vi.mock('@simplewebauthn/browser', () => ({ startRegistration: vi.fn(), startAuthentication: vi.fn() }));
const making = vi.mocked(startRegistration);
const asking = vi.mocked(startAuthentication);

beforeEach(() => vi.stubGlobal('PublicKeyCredential', () => undefined));
afterEach(() => {
  vi.unstubAllGlobals();
  vi.resetAllMocks();
});

/** What the browser's own question gives. */
const made = (response: object) => ({ id: 'key', response: { clientDataJSON: 'said', ...response } }) as never;

describe('passkeys', () => {
  it('serve at an address with a name alone', () => {
    const at = (hostname: string, port = '') => passkeyPlace({ hostname, port } as Location);
    expect(at('shed.example')).toBe('here');
    expect(at('127.0.0.1', '8100')).toEqual({ address: 'http://localhost:8100' });
    expect(at('[::1]')).toEqual({ address: 'http://localhost' });
    vi.stubGlobal('PublicKeyCredential', undefined);
    delete (window as { PublicKeyCredential?: unknown }).PublicKeyCredential;
    expect(at('shed.example')).toBe('no passkeys');
  });

  it('are listed, made by the browser and kept by what they are called, and removed', async () => {
    making.mockResolvedValue(made({ attestationObject: 'attested', transports: ['internal'] }));
    const kept = { id: 'k', label: 'My phone', madeAt: NOW };
    const sent = fakeServer({ 'account/passkeys': [kept], 'POST session': { challenge: 'c' }, 'POST account': [kept] });
    renderScreen(<Passkeys />);
    await userEvent.click(screen.getByText('Passkeys'));
    expect(await screen.findByText('Not used yet')).toBeVisible();
    await userEvent.clear(screen.getByLabelText('What you call it'));
    await userEvent.type(screen.getByLabelText('What you call it'), 'A key');
    await userEvent.click(screen.getByRole('button', { name: 'Add a passkey' }));
    const body = {
      credential: 'key',
      label: 'A key',
      clientData: 'said',
      attestation: 'attested',
      transports: ['internal'],
    };
    await waitFor(() => expect(sent.at(-1)).toEqual({ method: 'POST', path: 'account/passkeys', body }));
    await userEvent.click(screen.getByRole('button', { name: 'Remove the passkey My phone' }));
    await waitFor(() => expect(sent.at(-1)).toMatchObject({ method: 'DELETE', path: 'account/passkeys/k' }));
  });

  it('that were not made are said so', async () => {
    making.mockRejectedValue(new Error('The operation either timed out or was not allowed.'));
    fakeServer({ 'POST session': { challenge: 'c' } });
    renderScreen(<Passkeys />);
    await userEvent.click(screen.getByText('Passkeys'));
    await userEvent.click(await screen.findByRole('button', { name: 'Add a passkey' }));
    expect(await screen.findByText(/No passkey was made/)).toBeVisible();
  });

  it('open the door; a question that was left without an answer is said so', async () => {
    asking.mockRejectedValueOnce(new Error('Not allowed.'));
    asking.mockResolvedValueOnce(made({ authenticatorData: 'data', signature: 'signed' }));
    const sent = fakeServer({ 'POST session': { challenge: 'c' } });
    renderScreen(<DoorPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'Come in with a passkey' }));
    expect(await screen.findByText(/No passkey was used/)).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Come in with a passkey' }));
    const body = { credential: 'key', clientData: 'said', authenticatorData: 'data', signature: 'signed' };
    await waitFor(() => expect(sent.at(-1)).toEqual({ method: 'POST', path: 'session/passkey', body }));
  });
});
