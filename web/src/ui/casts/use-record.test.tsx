import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { fakeServer, Refusal, renderScreen } from '../../../test/fake-server';
import { cast, castDetail } from '../../../test/stand-ins';
import { useRecord } from './use-record';

const photo = new File(['x'], 'net.png', { type: 'image/png' });
const crazing = { type: 'fault-seen', fault: 'crazing', severity: 'slight' } as const;

/** A screen with one button that records a fault with its photo. */
function Recorder() {
  const record = useRecord();
  return (
    <button onClick={() => void record('kept', [{ cast: cast('1a'), event: crazing, photo }]).then(() => (document.title = 'done'))}>
      record
    </button>
  );
} // prettier-ignore

const recorded = async () => {
  document.title = '';
  await userEvent.click(screen.getByRole('button', { name: 'record' }));
  await expect.poll(() => document.title).toBe('done');
};

describe('what happened to a cast', () => {
  it('is sent, then its photo with the event that it shows', async () => {
    const sent = fakeServer({ 'POST casts': castDetail(cast('1a')) });
    renderScreen(<Recorder />);
    await recorded();
    const [event, picture] = sent;
    expect(event).toMatchObject({ path: 'casts/id-1a/events', body: crazing });
    expect(picture?.path).toContain(`casts/id-1a/pictures?event=${(event?.body as { id: string }).id}&id=`);
  });

  it('is on record though its photo was refused', async () => {
    const refused = new Refusal({ title: 'No picture', status: 422, detail: 'This is no picture.', errors: [] });
    const sent = fakeServer({ 'POST casts': (body: unknown) => (body ? castDetail(cast('1a')) : refused) });
    renderScreen(<Recorder />);
    await recorded();
    expect(sent).toHaveLength(2);
  });
});
