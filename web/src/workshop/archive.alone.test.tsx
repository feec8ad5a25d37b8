import type { ArchiveReport, Problem } from '@dewpot/contract';
import { act, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, expect, it, vi } from 'vitest';
import { fakeServer, Refusal, renderScreen } from '../../test/fake-server';
import { NOW, session } from '../../test/stand-ins';
import { saveFile } from '../ui/save-file';
import { DataPage } from './data-page';
import { RemovedPage } from './removed-page';

vi.mock('../ui/save-file');

const own = { ...session, workshop: { ...session.workshop, demo: false } };
const report: ArchiveReport = {
  done: false,
  workshop: 'Elm Close',
  madeAt: NOW,
  into: 'filled',
  shift: 12,
  tables: [
    { table: 'workshop', rows: 1, added: 0, there: 1 },
    { table: 'casts', rows: 1200, added: 1150, there: 50 },
  ],
};
const archive = new File(['x'.repeat(2000)], 'elm-close.zip', { type: 'application/zip' });

/** Uploads as they would go, in the test's hands. */
class Upload {
  static last: Upload;
  static readonly paths: string[] = [];
  readonly upload: { onprogress?: (event: { loaded: number }) => void } = {};
  status = 201;
  responseText = '';
  onload?: () => void;
  onerror?: () => void;
  onabort?: () => void;
  constructor() {
    Upload.last = this;
  }
  open(_: string, path: string) {
    Upload.paths.push(path);
  }
  setRequestHeader() {}
  send() {}
  getResponseHeader() {
    return this.status < 400 ? 'application/json' : 'application/problem+json';
  }
  abort() {
    this.onabort?.();
  }
  answer(body: ArchiveReport | Problem, status = 201) {
    Object.assign(this, { status, responseText: JSON.stringify(body) });
    return act(async () => this.onload?.());
  }
}
beforeEach(() => {
  vi.stubGlobal('XMLHttpRequest', Upload);
  vi.clearAllMocks();
  Upload.paths.length = 0;
});

/** The upload that was begun as the so-manieth of a test. */
const upload = async (nth: number) => {
  await vi.waitFor(() => expect(Upload.paths).toHaveLength(nth));
  return Upload.last;
};

it('the whole workshop goes out: what it holds is said before, and its file is kept under its name', async () => {
  fakeServer({ archive: { any: 'file' } });
  renderScreen(<DataPage />, '/here', '/here', own);
  expect(await screen.findByText('2 casts, 1 photo: about 3 MB.')).toBeVisible();
  await userEvent.click(screen.getByRole('button', { name: 'Take it out' }));
  await vi.waitFor(() => expect(saveFile).toHaveBeenCalledOnce());
  expect(vi.mocked(saveFile).mock.lastCall?.[2]).toBe('application/zip');
});

it.each([
  { mb: 5, share: '0.1', warned: false },
  { mb: 45, share: '0.9', warned: true },
])('that photos take $mb of 50 MB is shown; warned: $warned', async ({ mb, share, warned }) => {
  fakeServer({ 'photos/room': { photos: 2, bytes: mb * 2 ** 20, most: 50 * 2 ** 20 } });
  renderScreen(<DataPage />, '/here', '/here', own);
  expect(await screen.findByText(`2 photos take ${mb} of 50 MB.`)).toBeVisible();
  expect(screen.getByRole('progressbar', { name: 'Room taken by photos' })).toHaveAttribute('value', share);
  expect(screen.queryAllByText(/little room left/)).toHaveLength(warned ? 1 : 0);
});

it('a refusal to take it out is told', async () => {
  fakeServer({ archive: new Refusal({ status: 403, title: 'Not allowed', detail: 'Ask an owner.', errors: [] }) });
  renderScreen(<DataPage />, '/here', '/here', own);
  await userEvent.click(await screen.findByRole('button', { name: 'Take it out' }));
  expect(await screen.findByText('Ask an owner.')).toBeVisible();
  expect(saveFile).not.toHaveBeenCalled();
});

it('an archive is sent, said, and then read in', async () => {
  fakeServer();
  renderScreen(<DataPage />, '/here', '/here', own);
  await userEvent.upload(screen.getByLabelText('Read an archive in', { selector: 'input' }), archive);
  const checking = await upload(1);
  act(() => checking.upload.onprogress?.({ loaded: 1000 }));
  expect(screen.getByRole('progressbar', { name: 'Sending the archive' })).toHaveAttribute('value', '1000');
  act(() => checking.upload.onprogress?.({ loaded: 2100 }));
  expect(screen.getByRole('progressbar', { name: 'Reading and checking it' })).toHaveAttribute('value', '2000');
  await checking.answer(report);
  expect(await screen.findByRole('row', { name: 'Casts 1,200 1,150 50' })).toBeVisible();
  expect(screen.getByText(/numbered on from 13/)).toBeVisible();
  await userEvent.click(screen.getByRole('button', { name: 'Read it in' }));
  await (await upload(2)).answer({ ...report, done: true });
  expect(await screen.findByText(/Elm Close, as it was on .*, was read in/)).toBeVisible();
  expect(screen.queryByRole('button', { name: 'Read it in' })).toBeNull();
  expect(Upload.paths).toEqual(['/api/archive/check', '/api/archive/import']);
});

it('an archive that cannot be is refused by name, and sending one can be stopped', async () => {
  fakeServer();
  renderScreen(<DataPage />, '/here', '/here', own);
  const input = () => screen.getByLabelText('Read an archive in', { selector: 'input' });
  await userEvent.upload(input(), archive);
  const detail = 'Line 4 of casts is no JSON.';
  await (await upload(1)).answer({ type: 'about:blank', title: 'Not read in', status: 422, detail, errors: [] }, 422);
  expect(await screen.findByText(detail)).toBeVisible();
  await userEvent.upload(input(), archive);
  await upload(2);
  await userEvent.click(screen.getByRole('button', { name: 'Stop' }));
  expect(await screen.findByRole('button', { name: 'Choose an archive' })).toBeVisible();
  expect(screen.queryByRole('alert')).toBeNull();
});

it('a workshop is deleted once its name is typed; the demo is not', async () => {
  const sent = fakeServer();
  renderScreen(<DataPage />, '/here', '/here', own);
  await userEvent.click(screen.getByText('Delete it …'));
  const button = screen.getByRole('button', { name: 'Delete the workshop' });
  const name = screen.getByLabelText(`Type its name: ${own.workshop.name}`);
  await userEvent.type(name, own.workshop.name.slice(0, -1));
  expect(button).toBeDisabled();
  await userEvent.type(name, own.workshop.name.slice(-1));
  await userEvent.click(button);
  await vi.waitFor(() =>
    expect(sent).toEqual([{ method: 'POST', path: 'workshop/removal', body: { workshop: own.workshop.name } }]),
  );
});

it('the demo stays, and data is for owners', () => {
  fakeServer();
  const demo = { ...session, workshop: { ...session.workshop, demo: true } };
  renderScreen(<DataPage />, '/here', '/here', demo);
  expect(screen.getByText(/The demo workshop stays/)).toBeVisible();
  renderScreen(<DataPage />, '/here', '/here', { ...own, person: { ...own.person, role: 'caster' } });
  expect(screen.getByText(/are for its owners/)).toBeVisible();
});

it('in place of a deleted workshop stands until when it can be brought back; an owner does so', async () => {
  const sent = fakeServer();
  renderScreen(<RemovedPage goneAt={NOW + 30 * 86_400_000} />, '/here', '/here', own);
  expect(screen.getByRole('heading', { name: `${own.workshop.name} was deleted` })).toBeVisible();
  await userEvent.click(screen.getByRole('button', { name: 'Bring it back' }));
  await vi.waitFor(() => expect(sent[0]).toMatchObject({ method: 'DELETE', path: 'workshop/removal' }));
  renderScreen(<RemovedPage goneAt={NOW} />, '/here', '/here', { ...own, person: { ...own.person, role: 'guest' } });
  expect(screen.getAllByRole('button', { name: 'Bring it back' })).toHaveLength(1);
});
