import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { msg } from '@dewpot/core/units';
import { handbookFollowing } from '@dewpot/core/ambient';
import type { PlaceAmbient, PlaceView } from '@dewpot/contract';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { HOUR, NOW } from '../../test/stand-ins';
import { PlacesPage } from './places-page';

vi.mock('../ui/chart', () => ({ Chart: ({ label }: { label: string }) => <div role="img" aria-label={label} /> }));

const reading = (hours: number) => ({ at: NOW - hours * HOUR, temperature: 14, humidity: 0.7, wind: 2 });
const place: PlaceView = {
  id: 'p',
  name: 'the sill',
  kind: 'shed',
  source: 'files',
  version: 2,
  now: reading(9),
  lastRead: NOW - 9 * HOUR,
  basis: 'measured',
};
const ambient: PlaceAmbient = {
  place,
  recorded: [reading(20), reading(9)],
  bridges: [{ from: NOW - 20 * HOUR, to: NOW - 9 * HOUR, why: msg('ambient.nothingRead') }],
  aside: [{ reading: { at: NOW - 5 * HOUR, temperature: 127 }, why: msg('ambient.rangeEnd') }],
  ahead: [],
  following: handbookFollowing.shed,
};
const open = () => {
  const sent = fakeServer({
    places: [place],
    [`places/p/ambient`]: ambient,
    'PUT places': place,
    'POST places': { kept: 2, twice: 0, aside: [] },
  });
  renderScreen(<PlacesPage />);
  return sent;
};
const bring = async (text: string) =>
  userEvent.upload(
    await screen.findByLabelText('A file of readings'),
    new File([text], 'air.csv', { type: 'text/csv' }),
    { applyAccept: false },
  );

describe('places', () => {
  it('tell their air, how old it is, what is bridged and what was set aside', async () => {
    open();
    expect(await screen.findByRole('region', { name: 'the sill' })).toHaveTextContent('14.0 °C 70 % RH');
    expect(screen.getByText(/^Last read .* ago/)).toBeVisible();
    expect(await screen.findByRole('list', { name: 'Interpolated gaps' })).toHaveTextContent('nothing was read');
    expect(screen.getByRole('list', { name: 'Rejected readings' })).toHaveTextContent('end of a sensor’s range');
  });

  it('take a file in after telling how it was understood; one that is none is refused with the way out', async () => {
    const sent = open();
    await bring('when,pressure\n2026-05-01 10:00,1013');
    expect(await screen.findByRole('alert')).toHaveTextContent('Its first line must name the columns');
    await bring('time;temp °F\n2026-05-01 10:00;64,4\n2026-05-01 11:00;66,2\nsoon;1');
    const told = await screen.findByText('2 readings', { exact: false });
    expect(told.parentElement).toHaveTextContent('Temperatures are in °F');
    expect(told.parentElement).toHaveTextContent('1 row says nothing: row 4');
    await userEvent.click(screen.getByRole('button', { name: 'Take them in at the sill' }));
    await waitFor(() => expect(sent.some(({ path }) => path === 'places/p/readings')).toBe(true));
    const { readings } = sent.find(({ path }) => path === 'places/p/readings')!.body as {
      readings: { temperature: number }[];
    };
    expect(readings.map(({ temperature }) => temperature)).toEqual([18, 19]);
  });

  it('are made by name, kind and source; a typed figure is asked for', async () => {
    const sent = open();
    await userEvent.click(await screen.findByRole('button', { name: 'Add a place' }));
    const dialog = within(screen.getByRole('dialog'));
    await userEvent.type(dialog.getByLabelText('What you call it'), 'the cellar');
    await userEvent.click(dialog.getByText('A cellar'));
    await userEvent.click(dialog.getByText('One figure'));
    await userEvent.click(dialog.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({
      name: 'the cellar',
      kind: 'cellar',
      source: 'typed',
      typed: { temperature: 16 },
      version: 0,
    });
  });
});
