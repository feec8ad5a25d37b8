import { speakerFor } from '@dewpot/locales/testing';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { rimOf } from '@dewpot/core/moulds';
import { renderInside } from '../../test/stand-ins';
import { dimensionsOf } from './dimensions';
import { ExportMenu } from './export-menu';
import { firstOfKind } from './first-sizes';
import { MouldDrawing } from './mould-drawing';
import { OuterChoices } from './outer-choices';
import { partPresetsIn } from './part-presets';
import { frameOf, VIEW } from './section-frame';
import { ShapeThumb } from './shape-thumb';
import { startsIn } from './starts';

const starts = startsIn(speakerFor());
const partPresets = partPresetsIn(speakerFor());

const shapeOf = (key: string) => starts.find((start) => start.key === key)!.shape;
const draw = (key: string) => {
  const shape = shapeOf(key);
  return renderInside(
    <MouldDrawing shape={shape} drawn={{ shape, thinnest: undefined }} errors={new Map()} onChange={() => {}} />,
  );
};

describe('the drawing of every kind', () => {
  it.each(starts.map(({ key }) => key))('%s fits the paper, its dimensions on it', (key) => {
    const shape = shapeOf(key);
    const frame = frameOf(shape);
    expect(frame.x(frame.left)).toBeGreaterThanOrEqual(VIEW.left - 1e-6);
    expect(frame.x(frame.right)).toBeLessThanOrEqual(VIEW.width - VIEW.right + 1e-6);
    expect(frame.y(rimOf(shape))).toBeGreaterThanOrEqual(VIEW.top - 1e-6);
    expect(frame.height).toBeLessThanOrEqual(VIEW.highest);
    for (const { field } of dimensionsOf(shape, frame)) {
      expect(field[0]).toBeGreaterThan(30);
      expect(field[1]).toBeGreaterThan(0);
      expect(field[1]).toBeLessThan(frame.height);
    }
  });
  it('has a plan from above where there is no axis, and none where there is', () => {
    draw('trough').unmount();
    draw('tubs');
    expect(screen.queryByText('From above')).toBeNull();
  });
  it('of a trough tells its size at the rim from above', () => {
    draw('trough');
    expect(screen.getByRole('img', { name: 'From above: 420 mm by 220 mm at the rim' })).toBeVisible();
    expect(screen.getByLabelText('Inside width at the rim')).toHaveValue('220 mm');
  });
  it('shows layers of even volume in bands of their own', async () => {
    const { container } = draw('tubs');
    const bands = () => container.querySelectorAll('g[clip-path="url(#section)"] rect');
    expect(bands()).toHaveLength(0);
    await userEvent.selectOptions(screen.getByLabelText('Poured in'), '4 even layers');
    expect(bands()).toHaveLength(4);
    const heights = [...bands()].map((band) => Number(band.getAttribute('height')));
    expect(heights[0]!).toBeLessThan(heights[3]!);
  });
});

describe('a mould measured outside', () => {
  const change = vi.fn();
  const open = async () => {
    renderInside(<OuterChoices shape={shapeOf('pail')} errors={new Map()} onChange={change} />);
    await userEvent.click(screen.getByText('I measured it outside'));
    return screen.getByLabelText('Thickness of its wall');
  };
  it('is made less by its wall on every side but the open one', async () => {
    await open();
    await userEvent.click(screen.getByRole('button', { name: 'Subtract wall thickness' }));
    expect(change.mock.lastCall![0]).toMatchObject({ outer: { height: 58 } });
  });
  it('whose wall leaves nothing is not changed, and says so', async () => {
    change.mockClear();
    const wall = await open();
    await userEvent.clear(wall);
    await userEvent.type(wall, '90 mm{Enter}');
    await userEvent.click(screen.getByRole('button', { name: 'Subtract wall thickness' }));
    expect(screen.getByText(/leaves nothing inside/)).toBeVisible();
    expect(change).not.toHaveBeenCalled();
  });
});

describe('what is put into a mould', () => {
  const hosts = ['tubs', 'trough', 'sided', 'tray'] as const;
  it.each(partPresets.map(({ key, label }) => [label, key] as const))('%s fits whatever it is put into', (_, key) => {
    const preset = partPresets.find((one) => one.key === key)!;
    for (const host of hosts) {
      const shape = shapeOf(host);
      const made = preset.make(shape);
      const height = 'height' in made.solid ? made.solid.height : 1;
      expect(made.bottom, host).toBeGreaterThanOrEqual(0);
      expect(made.bottom, host).toBeLessThan(rimOf(shape));
      expect(height, host).toBeGreaterThan(0);
    }
  });
  it('keeps about its size when it changes its form', () => {
    const round = { kind: 'round-frustum', bottomDiameter: 80, topDiameter: 80, height: 60 } as const;
    expect(firstOfKind('rect-frustum', round)).toMatchObject({ bottomLength: 80, topWidth: 80, height: 60 });
    expect(firstOfKind('cap', round)).toMatchObject({ rimDiameter: 80, depth: 60 });
    expect(firstOfKind('lying-pipe', round)).toMatchObject({ run: 80 });
    expect(firstOfKind('polygon-frustum', { ...round, height: NaN })).toMatchObject({ topAcross: 60 });
  });
});

describe('a mould in small', () => {
  it.each(['tubs', 'spiral', 'leaf', 'outline', 'faces'])('%s is drawn from its own geometry', (key) => {
    const { container } = renderInside(<ShapeThumb shape={shapeOf(key)} size={100} />);
    const paths = [...container.querySelectorAll('path')].map((path) => path.getAttribute('d')!);
    expect(paths.length).toBeGreaterThan(0);
    for (const d of paths) expect(d).not.toMatch(/NaN|Infinity/);
  });
});

describe('a mould’s geometry as a file', () => {
  it.each([
    ['Cavity as STL', 'pot.stl'],
    ['Section as SVG', 'pot.section.svg'],
    ['Outline as DXF', 'pot.outline.dxf'],
  ])('%s', async (label, name) => {
    const saved: { name: string; blob: Blob }[] = [];
    let held: Blob | undefined;
    vi.stubGlobal(
      'URL',
      Object.assign(URL, { createObjectURL: (blob: Blob) => ((held = blob), 'blob:x'), revokeObjectURL: () => {} }),
    );
    vi.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (this: HTMLAnchorElement) {
      saved.push({ name: this.download, blob: held! });
    });
    renderInside(<ExportMenu name="pot" shape={shapeOf('tubs')} />);
    await userEvent.selectOptions(screen.getByLabelText('Save its geometry as a file'), label);
    expect(saved[0]!.name).toBe(name);
    expect(saved[0]!.blob.size).toBeGreaterThan(300);
    expect(screen.getByLabelText('Save its geometry as a file')).toHaveValue('');
  });
});
