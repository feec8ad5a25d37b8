import { outlineDrawing, sectionDrawing, writeDxf, writeStl, writeSvg } from '@dewpot/core/exports';
import { closedSurfaceOf, type MouldShape } from '@dewpot/core/moulds';
import { saveFile } from '../ui/save-file';

interface Way {
  readonly label: string;
  readonly ending: string;
  readonly type: string;
  readonly write: (shape: MouldShape, name: string) => BlobPart;
}

const ways: readonly Way[] = [
  {
    label: 'Cavity as STL',
    ending: 'stl',
    type: 'model/stl',
    write: (shape, name) => writeStl(closedSurfaceOf(shape), name),
  },
  {
    label: 'Section as SVG',
    ending: 'section.svg',
    type: 'image/svg+xml',
    write: (shape) => writeSvg(sectionDrawing(shape)),
  },
  {
    label: 'Section as DXF',
    ending: 'section.dxf',
    type: 'image/vnd.dxf',
    write: (shape) => writeDxf(sectionDrawing(shape)),
  },
  {
    label: 'Outline as SVG',
    ending: 'outline.svg',
    type: 'image/svg+xml',
    write: (shape) => writeSvg(outlineDrawing(shape)),
  },
  {
    label: 'Outline as DXF',
    ending: 'outline.dxf',
    type: 'image/vnd.dxf',
    write: (shape) => writeDxf(outlineDrawing(shape)),
  },
];

/** A mould's geometry as a file, in mm. */
export function ExportMenu({ name, shape }: { name: string; shape: MouldShape }) {
  return (
    <label>
      <span className="sr-only">Save its geometry as a file</span>
      <select
        className="select select-bordered h-14 w-36"
        value=""
        onChange={({ target }) => {
          const way = ways.find(({ label }) => label === target.value);
          if (way) saveFile(`${name}.${way.ending}`, way.write(shape, name), way.type);
        }}
      >
        <option value="">As a file…</option>
        {ways.map(({ label }) => (
          <option key={label}>{label}</option>
        ))}
      </select>
    </label>
  );
}
