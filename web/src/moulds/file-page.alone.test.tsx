import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { InputError } from '@dewpot/core/units';
import { analyseMesh, guessUnit, measureMesh, readDrawing } from '@dewpot/core/meshes';
import { closedSurfaceOf } from '@dewpot/core/moulds';
import type { PhotoTrace } from '@dewpot/core/photos';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { FilePage } from './file-page';
import { newDraft } from './draft';
import type { Start } from './starts';
import type { Work } from '../workers/use-file-work';

const block = closedSurfaceOf({
  outer: {
    kind: 'rect-frustum',
    bottomLength: 100,
    bottomWidth: 60,
    topLength: 100,
    topWidth: 60,
    height: 40,
    cornerRadius: 0,
  },
  cores: [],
  inserts: [],
});

const trace: PhotoTrace = {
  card: [
    [100, 100],
    [271.2, 100],
    [271.2, 208],
    [100, 208],
  ],
  outline: [
    [400, 100],
    [600, 100],
    [600, 300],
    [400, 300],
  ],
};

/** The worker's work, done here and at once. */
const files = {
  read: () => {
    const measure = measureMesh(block);
    return { ok: { measure, unit: guessUnit(measure), picture: block } };
  },
  analyse: (_up: string, _unit: string, role: 'piece' | 'block') => {
    try {
      return { ok: { ...analyseMesh(block, role), picture: block } };
    } catch (error) {
      return { issues: (error as InputError).issues };
    }
  },
  outlines: (text: string) => {
    try {
      return { ok: readDrawing(text) };
    } catch (error) {
      return { issues: (error as InputError).issues };
    }
  },
  trace: () => ({ ok: trace }),
};

vi.mock('../workers/use-file-work', async () => {
  const { useState } = await import('react');
  return {
    useFileWork: (): Work => {
      const [issues, setIssues] = useState<Work['issues']>([]);
      const run = async (job: (given: typeof files, progress: () => void) => object) => {
        const answer = (await job(files, () => {})) as { ok?: unknown; issues?: Work['issues'] };
        setIssues(answer.issues ?? []);
        return answer.ok;
      };
      return { done: undefined, issues, run: run as unknown as Work['run'], stop: () => {} };
    },
  };
});

const choose = (name: string, content: BlobPart, type = '') =>
  userEvent.upload(screen.getByLabelText('A mesh, an outline or a photo'), new File([content], name, { type }), {
    applyAccept: false,
  });

describe('a mesh', () => {
  it('is asked about before it is looked into: what it is, which way is up, its unit', async () => {
    fakeServer();
    const router = renderScreen(<FilePage />);
    await choose('vase.stl', 'bytes');
    expect(await screen.findByText('12 triangles, shut all round')).toBeVisible();
    expect(screen.getByText('100 × 60 × 40')).toBeVisible();
    const go = screen.getByRole('button', { name: 'Say what the body is' });
    expect(go).toBeDisabled();
    await userEvent.selectOptions(screen.getByLabelText('File units'), 'cm');
    expect(screen.getByText('1000 × 600 × 400')).toBeVisible();
    await userEvent.selectOptions(screen.getByLabelText('File units'), 'mm, likeliest by its size');
    await userEvent.click(screen.getByText('The piece'));
    await userEvent.click(screen.getByRole('button', { name: 'Yes, look into it' }));
    expect(await screen.findByText('240 mL')).toBeVisible();
    expect(screen.getByText('none against the pull upwards')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Make a mould of it' }));
    await waitFor(() => expect(router.state.location.pathname).toBe('/moulds/new'));
    const { start } = router.state.location.state as { start: Start };
    expect(start.name).toBe('vase');
    expect(newDraft(start).shape.outer).toMatchObject({ kind: 'mesh', height: 40 });
  });
  it('taken as a block without a hollow is refused, and can be taken as something else', async () => {
    fakeServer();
    renderScreen(<FilePage />);
    await choose('vase.stl', 'bytes');
    await userEvent.click(await screen.findByText('The mould block'));
    await userEvent.click(screen.getByRole('button', { name: 'Yes, look into it' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('no hollow that is open upwards');
    await userEvent.click(screen.getByText('The cavity'));
    await userEvent.click(screen.getByRole('button', { name: 'Yes, look into it' }));
    expect(await screen.findByText('240 mL')).toBeVisible();
  });
});

describe('an outline', () => {
  const svg = (size: string, body: string) => `<svg xmlns="http://www.w3.org/2000/svg" ${size}>${body}</svg>`;
  it('is the open face: the largest of them to begin with, at its own size', async () => {
    fakeServer();
    const router = renderScreen(<FilePage />);
    await choose(
      'sign.svg',
      svg('width="100mm" viewBox="0 0 100 80"', '<rect width="100" height="80"/><circle cx="50" cy="40" r="20"/>'),
    );
    expect(await screen.findByLabelText('Its width')).toHaveValue('100 mm');
    expect(screen.getAllByRole('option').map(({ textContent }) => textContent)).toEqual([
      'outline 1, 80 cm²',
      expect.stringMatching(/outline 2, 1[23] cm²/),
    ]);
    const width = screen.getByLabelText('Its width');
    await userEvent.clear(width);
    await userEvent.type(width, '20 cm{Enter}');
    expect(screen.getByText('4 points, 320 cm²')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Make a mould of it' }));
    await waitFor(() => expect(router.state.location.pathname).toBe('/moulds/new'));
  });
  it('whose file does not say how large it is asks for its width', async () => {
    fakeServer();
    renderScreen(<FilePage />);
    await choose('sign.svg', svg('', '<rect width="96" height="96"/>'));
    expect(await screen.findByLabelText(/really this wide \(the file does not say\)/)).toHaveValue('25.4 mm');
  });
  it('that carries a script is refused, and the screen lives on', async () => {
    fakeServer();
    renderScreen(<FilePage />);
    await choose('sign.svg', svg('', '<script>1</script>'));
    expect(await screen.findByRole('alert')).toHaveTextContent('carries a script; nothing of it was run');
    await choose('sign.svg', svg('', '<rect width="96" height="96"/>'));
    expect(await screen.findByRole('button', { name: 'Make a mould of it' })).toBeVisible();
    expect(screen.queryByRole('alert')).toBeNull();
  });
});

describe('a photo', () => {
  it('is measured by its card, and again when a corner is moved', async () => {
    vi.stubGlobal('createImageBitmap', () => Promise.resolve({ width: 800, height: 600, close: () => {} }));
    const context = { drawImage: () => {}, getImageData: () => ({ data: new Uint8ClampedArray(4) }) };
    vi.spyOn(HTMLCanvasElement.prototype, 'getContext').mockReturnValue(
      context as unknown as RenderingContext as never,
    );
    vi.stubGlobal('URL', Object.assign(URL, { createObjectURL: () => 'blob:leaf', revokeObjectURL: () => {} }));
    fakeServer();
    renderScreen(<FilePage />);
    await choose('leaf.jpg', 'bytes', 'image/jpeg');
    await userEvent.click(await screen.findByRole('button', { name: 'Find the card and the outline' }));
    // Two pixels a millimetre: a square of 200 px is one of 100 mm.
    expect(await screen.findByText('100 cm²')).toBeVisible();
    expect(screen.getByText('400 mm')).toBeVisible();
    const corner = screen.getByRole('button', { name: 'Point 3 of the outline' });
    corner.focus();
    await userEvent.keyboard('{ArrowRight>40/}{ArrowDown>40/}');
    expect(screen.getByText('120 cm²')).toBeVisible();
    const wide = screen.getByLabelText('The card is wide');
    await userEvent.clear(wide);
    await userEvent.type(wide, '171.2 mm{Enter}');
    expect(screen.getByText('240 cm²')).toBeVisible();
  });
});
