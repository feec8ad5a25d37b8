import { fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { InputError } from '@dewpot/core/units';
import { findVoids, type PhotoPixels } from '@dewpot/core/photos';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { castDetail, cast } from '../../test/stand-ins';
import type { Work } from '../workers/use-file-work';
import { VoidsPage } from './voids-page';

/** A grey face of 400 × 400 px with one dark disc of 20 px in its middle. */
const face: PhotoPixels = (() => {
  const data = new Uint8ClampedArray(4 * 400 * 400);
  for (let y = 0; y < 400; y++) for (let x = 0; x < 400; x++) {
    const grey = Math.hypot(x - 200, y - 200) <= 10 ? 60 : 170;
    data.set([grey, grey, grey, 255], 4 * (y * 400 + x));
  } // prettier-ignore
  return { data, width: 400, height: 400 };
})();

vi.mock('../ui/picture', () => ({ pixelsOf: () => Promise.resolve(face), useAddress: () => 'blob:face' }));
vi.mock('../workers/use-file-work', async () => {
  const { useState } = await import('react');
  return {
    useFileWork: (): Work => {
      const [issues, setIssues] = useState<Work['issues']>([]);
      const voids = (pixels: PhotoPixels, patch: Parameters<typeof findVoids>[1]) => {
        try {
          return { ok: findVoids(pixels, patch) };
        } catch (error) {
          return { issues: (error as InputError).issues };
        }
      };
      return {
        done: undefined,
        issues,
        stop: () => undefined,
        run: async (job) => {
          const answer = await job({ voids } as never, () => undefined);
          setIssues('issues' in answer ? answer.issues : []);
          return 'ok' in answer ? answer.ok : undefined;
        },
      };
    },
  };
});

beforeEach(() => {
  // The drawing is as large as the photo.
  vi.spyOn(SVGElement.prototype, 'getBoundingClientRect').mockReturnValue({ left: 0, top: 0, width: 400, height: 400 } as DOMRect); // prettier-ignore
});

const open = async (at = '/findings/voids') => {
  const sent = fakeServer({ 'POST casts': castDetail(cast('1a')) });
  renderScreen(<VoidsPage />, at, '/findings/voids');
  await userEvent.upload(screen.getByLabelText('Choose a photo'), new File(['x'], 'face.png', { type: 'image/png' }));
  await screen.findByRole('button', { name: 'Find voids' });
  return sent;
};
const counted = () => within(screen.getByRole('region', { name: 'Voids on a photo' }));

describe('voids on a photo', () => {
  it('are found at the scale of a known length, and graded', async () => {
    await open();
    // The ends are 160 px apart.
    const known = screen.getByLabelText('Length between the two ends');
    await userEvent.clear(known);
    await userEvent.type(known, '20{Enter}');
    await userEvent.click(screen.getByRole('button', { name: 'Find voids' }));
    expect(await counted().findByText(/^Grade \d of 5$/)).toHaveTextContent('Grade 3 of 5');
    expect(screen.getByRole('group', { name: 'The photo with one void marked' })).toBeVisible();
    expect(counted().getByText('1 mm to 3 mm').nextSibling).toHaveTextContent('1');
    expect(counted().queryByText(/only voids from/)).toBeNull();
  });

  it('are put on and taken away by a tap, and say how coarse the photo is', async () => {
    await open();
    await userEvent.click(screen.getByRole('button', { name: 'Find voids' }));
    expect(await counted().findByText(/only voids from 2 mm on are counted/)).toBeVisible();
    const drawing = () => screen.getByRole('group', { name: /^The photo with/ });
    fireEvent.pointerDown(drawing(), { clientX: 120, clientY: 120 });
    fireEvent.pointerDown(drawing(), { clientX: 150, clientY: 120 });
    const before = drawing().getAttribute('aria-label');
    // Beside the patch none is put on.
    fireEvent.pointerDown(drawing(), { clientX: 20, clientY: 20 });
    expect(drawing()).toHaveAttribute('aria-label', before);
    fireEvent.pointerDown(drawing(), { clientX: 120, clientY: 120 });
    expect(drawing().getAttribute('aria-label')).not.toBe(before);
  });

  it('are doubted in words where the patch is no face', async () => {
    await open();
    expect(screen.queryByRole('status')).toBeNull();
    // The disc fills more than a quarter of the patch.
    for (const [name, to] of [['Corner 1 of the patch', 183], ['Corner 2 of the patch', 217]] as const)
      fireEvent.pointerMove(screen.getByRole('button', { name }), { buttons: 1, clientX: to, clientY: to });
    await userEvent.click(screen.getByRole('button', { name: 'Find voids' }));
    expect(await screen.findByText(/More of this is dark than voids ever are/)).toBeVisible();
  }); // prettier-ignore

  it('have their ends and corners moved by keys, and are refused without a patch', async () => {
    await open();
    const corner = screen.getByRole('button', { name: 'Corner 2 of the patch' });
    const before = corner.getAttribute('x');
    fireEvent.keyDown(corner, { key: 'ArrowLeft' });
    expect(corner.getAttribute('x')).not.toBe(before);
    fireEvent.pointerMove(corner, { buttons: 1, clientX: 82, clientY: 82 });
    await userEvent.click(screen.getByRole('button', { name: 'Find voids' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('The patch');
  });

  it('are kept with the cast that they were counted for, and the photo with them', async () => {
    const sent = await open('/findings/voids?cast=id-1a');
    await userEvent.click(screen.getByRole('button', { name: 'Find voids' }));
    await userEvent.click(await screen.findByRole('button', { name: /^Keep grade/ }));
    expect(await screen.findByRole('link', { name: 'Put another face beside it' })).toHaveAttribute('href', '/findings/faces?cast=id-1a'); // prettier-ignore
    const [told, photo] = sent.filter(({ method }) => method === 'POST');
    const patch = { x: 0.2, y: 0.2, width: 0.6, height: 0.6 };
    expect(told).toMatchObject({ path: 'casts/id-1a/events', body: { type: 'bubbles', face: 'face', counted: { patch, across: expect.closeTo(128.4, 0) } } }); // prettier-ignore
    expect(photo?.path).toContain(`casts/id-1a/pictures?event=${(told?.body as { id: string }).id}&id=`);
  });
});
