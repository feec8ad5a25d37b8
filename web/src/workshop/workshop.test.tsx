import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { fakeServer, Refusal, renderScreen } from '../../test/fake-server';
import { HOUR, NOW, session } from '../../test/stand-ins';
import { InvitedPage } from '../sign-in/invited-page';
import { DoorPage } from '../sign-in/sign-in-page';
import { PeopleSlab } from './people';
import { WorkshopPage } from './workshop-page';

describe('the workshop', () => {
  it('keeps its units and limits with the version they were read at', async () => {
    const sent = fakeServer({ 'PUT workshop': session });
    renderScreen(<WorkshopPage />);
    await userEvent.click(await screen.findByText('US customary'));
    const bucket = screen.getByLabelText('Mixing bucket, to its brim');
    await userEvent.clear(bucket);
    await userEvent.type(bucket, '20 L{Tab}');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      method: 'PUT',
      path: 'workshop',
      body: { units: 'us', bucket: 20000, version: 1 },
    });
  });

  it('says of another currency that prices stay the numbers that they are', async () => {
    fakeServer();
    renderScreen(<WorkshopPage />);
    const currency = await screen.findByLabelText('Currency');
    expect(screen.queryByText(/nothing is converted/)).toBeNull();
    await userEvent.selectOptions(currency, 'USD');
    expect(screen.getByText(/nothing is converted from EUR to USD/)).toBeVisible();
  });

  it('refuses a bucket of no size before it is sent', async () => {
    const sent = fakeServer();
    renderScreen(<WorkshopPage />);
    const bucket = await screen.findByLabelText('Mixing bucket, to its brim');
    await userEvent.clear(bucket);
    await userEvent.type(bucket, '100 mL{Tab}');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(bucket).toBeInvalid());
    expect(sent).toEqual([]);
  });

  it('keeps what the moist curing ends by, and the hours in which things are wetted', async () => {
    const sent = fakeServer({ 'PUT workshop': session });
    renderScreen(<WorkshopPage />);
    await userEvent.selectOptions(await screen.findByLabelText('Which share'), '80 %');
    await userEvent.click(screen.getByText(/^The patient school/));
    await userEvent.selectOptions(screen.getByLabelText('Wetting hours, from'), '06:00');
    await userEvent.click(screen.getByRole('button', { name: 'Wet in these hours' }));
    await waitFor(() => expect(sent).toHaveLength(3));
    expect(sent.map(({ body }) => body)).toMatchObject([
      { moistCuring: { by: 'share', share: 0.8 } },
      { moistCuring: { by: 'school', school: 'patient' } },
      { waking: { from: 6, to: 22 } },
    ]);
  });

  it('makes the address of a calendar, shows it this once, and stops it', async () => {
    const sent = fakeServer({ calendar: { madeAt: NOW }, 'POST calendar': { path: '/api/calendar/secret/round.ics' } });
    renderScreen(<WorkshopPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'Change it: the old one stops' }));
    const address = await screen.findByLabelText(/Put this into your calendar/);
    expect(address).toHaveValue(`${window.location.origin}/api/calendar/secret/round.ics`);
    await userEvent.click(screen.getByRole('button', { name: 'Stop it' }));
    await waitFor(() => expect(screen.queryByLabelText(/Put this into your calendar/)).toBeNull());
    expect(sent.map(({ method, path }) => `${method} ${path}`)).toEqual([
      'POST calendar/address',
      'DELETE calendar/address',
    ]);
  });

  it('removes a person once it is sure, and lists who owns the workshop', async () => {
    const people = [
      { id: 'p', name: 'Ada', email: 'ada@example.org', owner: true },
      { id: 't', name: 'Tobias', email: 'tobias@example.org', owner: false },
    ];
    const sent = fakeServer({ people, 'DELETE people': undefined });
    renderScreen(<WorkshopPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'Remove Tobias' }));
    expect(sent).toEqual([]);
    await userEvent.click(screen.getByRole('button', { name: 'Remove Tobias now' }));
    await waitFor(() => expect(sent[0]).toMatchObject({ method: 'DELETE', path: 'people/t' }));
    expect(screen.queryByRole('button', { name: /Remove Ada/ })).toBeNull();
  });

  it('shows this session and those of scripts first, and folds away old ones', async () => {
    const of = (id: string, more: object) => ({ id, kind: 'browser', createdAt: NOW, usedAt: NOW, label: `Browser ${id}`, current: false, ...more }); // prettier-ignore
    const old = Array.from({ length: 8 }, (_, i) => of(`b${i}`, { usedAt: NOW - i * HOUR }));
    const mine = [of('m', { current: true, usedAt: NOW - 99 * HOUR }), of('s', { kind: 'script', label: 'Logger', usedAt: NOW - 98 * HOUR })]; // prettier-ignore
    fakeServer({ 'account/sessions': [...old, ...mine] });
    renderScreen(<WorkshopPage />);
    expect(await screen.findByText('This browser')).toBeVisible();
    expect(screen.getByRole('button', { name: 'End the session of Logger' })).toBeVisible();
    expect(screen.getByText('5 more')).toBeVisible();
    expect(screen.getAllByRole('button', { name: /^End the session of/, hidden: true })).toHaveLength(9);
  });

  it('lists one’s sessions, ends another one, changes the passphrase and makes a token, shown once', async () => {
    const session = { kind: 'browser', createdAt: NOW, usedAt: NOW };
    const sent = fakeServer({
      'account/sessions': [
        { ...session, id: 'a', label: 'Mozilla/5.0 (X11; Linux x86_64) Chrome/150.0', current: true },
        { ...session, id: 'b', label: 'Mozilla/5.0 (iPhone) Safari/600', current: false },
      ],
      'POST account': { token: 'secret-token' },
    });
    renderScreen(<WorkshopPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'End the session of Safari on iOS' }));
    expect(screen.getByText('Chromium on Linux')).toBeVisible();
    await userEvent.click(screen.getByText('Change your passphrase'));
    await userEvent.type(screen.getByLabelText('Your present passphrase'), 'the old one');
    await userEvent.type(screen.getByLabelText(/^A new passphrase/), 'short');
    const change = screen.getByRole('button', { name: 'Change it and end my other sessions' });
    await userEvent.click(change);
    expect(await screen.findByText('Make it ten characters or more.')).toBeVisible();
    await userEvent.type(screen.getByLabelText(/^A new passphrase/), ' no more');
    await userEvent.click(change);
    await userEvent.click(screen.getByText('Make a token for a script'));
    await userEvent.click(screen.getByRole('button', { name: 'Make a token' }));
    expect(await screen.findByText('Say what it is for.')).toBeVisible();
    await userEvent.type(screen.getByLabelText('What it is for'), 'Shed logger');
    await userEvent.selectOptions(screen.getByLabelText('It may do at the most'), 'Helper');
    await userEvent.selectOptions(screen.getByLabelText('It ends'), 'After a month');
    await userEvent.click(screen.getByRole('button', { name: 'Make a token' }));
    expect(await screen.findByLabelText(/shown this once/)).toHaveValue('secret-token');
    expect(sent.map(({ method, path }) => `${method} ${path}`)).toEqual([
      'DELETE account/sessions/b',
      'PUT account/passphrase',
      'POST account/tokens',
    ]);
    expect(sent[2]!.body).toEqual({ label: 'Shed logger', role: 'helper', days: 30 });
  });

  it('invites somebody by a link and its code, shown once, and takes an open one back', async () => {
    const open = { id: 'i', role: 'guest', invitedBy: 'Ada', expiresAt: NOW };
    const sent = fakeServer({ invitations: [open], 'POST invitations': { ...open, id: 'n', token: 'secret-token' } });
    renderScreen(<WorkshopPage />);
    await userEvent.click(await screen.findByText('Invite somebody'));
    await userEvent.selectOptions(screen.getByLabelText('They come in as'), 'Helper');
    await userEvent.click(screen.getByRole('button', { name: 'Make an invitation' }));
    expect(await screen.findByLabelText(/^Give them this link/)).toHaveValue(
      `${window.location.origin}/invited#secret-token`,
    );
    expect(await screen.findByRole('img', { name: 'The link as a QR code' })).toBeVisible();
    expect(screen.getByText(/^As a guest, from Ada, until/)).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Take it back' }));
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent[0]).toMatchObject({ path: 'invitations', body: { role: 'helper', days: 7 } });
    expect(sent[1]).toMatchObject({ method: 'DELETE', path: 'invitations/i' });
  });

  it('changes what somebody may do; one who is no owner sees it, and may leave', async () => {
    const people = [
      { id: 'p', name: 'Ada', email: 'ada@example.org', role: 'caster' },
      { id: 'q', name: 'Tobias', email: 'tobias@example.org', role: 'helper' },
    ];
    const renewal = { id: 'r', personId: 'q', role: 'helper', invitedBy: 'Ada', expiresAt: NOW, token: 't0k3n' };
    const sent = fakeServer({ people, 'POST people': renewal, invitations: [renewal] });
    renderScreen(<WorkshopPage />);
    await userEvent.selectOptions(await screen.findByLabelText('Role of Tobias'), 'Caster');
    await waitFor(() => expect(sent[0]).toMatchObject({ method: 'PUT', path: 'people/q', body: { role: 'caster' } }));
    await userEvent.click(screen.getByRole('button', { name: 'A new passphrase for Tobias' }));
    expect(await screen.findByLabelText(/^Give Tobias this link/)).toHaveValue(
      `${window.location.origin}/invited#t0k3n`,
    );
    cleanup();
    fakeServer({ people, session: { ...session, person: { ...session.person, role: 'caster' } } });
    renderScreen(<PeopleSlab />, '/here', '/here', { ...session, person: { ...session.person, role: 'caster' } });
    expect(await screen.findByText('Helper', { selector: 'p' })).toBeVisible();
    expect(screen.queryByText('Invite somebody')).toBeNull();
    expect(screen.getByRole('button', { name: 'Leave this workshop' })).toBeVisible();
  });
});

describe('an invitation', () => {
  const offer = { workshop: 'Quince Yard', invitedBy: 'Ada', role: 'helper', state: 'open' };

  it('says what it offers, tells what is wrong with an address, and lets in', async () => {
    const sent = fakeServer({ 'POST invitations': offer });
    renderScreen(<InvitedPage />, '/invited#a-secret-token-of-some-length', '/invited');
    expect(await screen.findByRole('heading', { name: 'Quince Yard' })).toBeVisible();
    expect(screen.getByText(/^Ada invites you as a helper/)).toBeVisible();
    await userEvent.click(screen.getByText('Or as somebody else'));
    await userEvent.type(screen.getByLabelText('Your name'), 'Tobias');
    await userEvent.type(screen.getByLabelText('E-mail'), 'tobias');
    await userEvent.type(screen.getByLabelText(/^Passphrase/), 'long enough now');
    await userEvent.click(screen.getByRole('button', { name: 'Come in' }));
    expect(await screen.findByText(/like name@example.org/)).toBeVisible();
    await userEvent.type(screen.getByLabelText('E-mail'), '@example.org');
    await userEvent.click(screen.getByRole('button', { name: 'Come in' }));
    expect(await screen.findByText('elsewhere')).toBeVisible();
    expect(sent.at(-1)).toMatchObject({ path: 'invitations/take', body: { token: 'a-secret-token-of-some-length', name: 'Tobias', email: 'tobias@example.org' } }); // prettier-ignore
  });

  it('of a person who lost their passphrase asks for a new one alone', async () => {
    const sent = fakeServer({ 'POST invitations': { ...offer, person: 'Tobias' } });
    renderScreen(<InvitedPage />, '/invited#a-secret-token-of-some-length', '/invited');
    expect(await screen.findByText(/^Tobias, choose a new passphrase/)).toBeVisible();
    expect(screen.queryByLabelText('E-mail')).toBeNull();
    await userEvent.type(screen.getByLabelText(/^Passphrase/), 'short');
    await userEvent.click(screen.getByRole('button', { name: 'Come in' }));
    expect(await screen.findByText('Make it ten characters or more.')).toBeVisible();
    await userEvent.type(screen.getByLabelText(/^Passphrase/), ' no more');
    await userEvent.click(screen.getByRole('button', { name: 'Come in' }));
    expect(await screen.findByText('elsewhere')).toBeVisible();
    expect(sent.at(-1)).toMatchObject({ path: 'invitations/renew', body: { passphrase: 'short no more' } });
  });

  it('that was taken up says so, and asks for nothing', async () => {
    fakeServer({ 'POST invitations': { ...offer, state: 'used' } });
    renderScreen(<InvitedPage />, '/invited#a-secret-token-of-some-length', '/invited');
    expect(await screen.findByRole('alert')).toHaveTextContent('It was taken up already');
    expect(screen.queryByLabelText('E-mail')).toBeNull();
  });
});

describe('the door', () => {
  it('opens the demo by one control where there is one, and hides it where there is none', async () => {
    const sent = fakeServer();
    renderScreen(<DoorPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'Look round the demo workshop' }));
    await waitFor(() => expect(sent[0]).toMatchObject({ method: 'POST', path: 'session/demo' }));
  });

  it('keeps the e-mail when the passphrase was wrong, and says so', async () => {
    fakeServer({
      door: { demo: false },
      'POST session': new Refusal({
        title: 'Sign-in failed',
        status: 401,
        detail: 'Check both and try again.',
        errors: [],
      }),
    });
    renderScreen(<DoorPage />);
    await userEvent.type(await screen.findByLabelText('E-mail'), 'ada@example.org');
    await userEvent.type(screen.getByLabelText('Passphrase'), 'guess');
    await userEvent.click(screen.getByRole('button', { name: 'Sign in' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('Sign-in failed');
    expect(screen.getByLabelText('E-mail')).toHaveValue('ada@example.org');
    expect(screen.queryByRole('button', { name: /demo/ })).toBeNull();
  });
});
