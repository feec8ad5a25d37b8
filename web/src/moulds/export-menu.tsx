import { msg, type Message } from '@dewpot/core/units';
import { outlineDrawing, sectionDrawing, writeDxf, writeStl, writeSvg } from '@dewpot/core/exports';
import { closedSurfaceOf, type MouldShape } from '@dewpot/core/moulds';
import type { MouldView } from '@dewpot/contract';
import { saveFile } from '../ui/save-file';
import { useSay } from '../ui/say';
import { mouldsJson } from './mould-files';

interface Way {
  readonly label: Message;
  readonly ending: string;
  readonly type: string;
  readonly write: (shape: MouldShape, name: string) => BlobPart;
}

const ways: readonly Way[] = [
  {
    label: msg('moulds.cavityStl'),
    ending: 'stl',
    type: 'model/stl',
    write: (shape, name) => writeStl(closedSurfaceOf(shape), name),
  },
  {
    label: msg('moulds.sectionSvg'),
    ending: 'section.svg',
    type: 'image/svg+xml',
    write: (shape) => writeSvg(sectionDrawing(shape)),
  },
  {
    label: msg('moulds.sectionDxf'),
    ending: 'section.dxf',
    type: 'image/vnd.dxf',
    write: (shape) => writeDxf(sectionDrawing(shape)),
  },
  {
    label: msg('moulds.outlineSvg'),
    ending: 'outline.svg',
    type: 'image/svg+xml',
    write: (shape) => writeSvg(outlineDrawing(shape)),
  },
  {
    label: msg('moulds.outlineDxf'),
    ending: 'outline.dxf',
    type: 'image/vnd.dxf',
    write: (shape) => writeDxf(outlineDrawing(shape)),
  },
];

const WHOLE = 'json';

/** A mould's geometry as a file, in mm; one that is kept also with all that is said of it, to share. */
export function ExportMenu({ name, shape, kept }: { name: string; shape: MouldShape; kept?: MouldView | undefined }) {
  const say = useSay();
  return (
    <label>
      <span className="sr-only">{say('moulds.saveGeometry')}</span>
      <select
        className="select select-bordered h-14 w-32"
        value=""
        onChange={({ target }) => {
          const way = ways.find(({ ending }) => ending === target.value);
          if (kept && target.value === WHOLE) saveFile(`${name}.json`, mouldsJson([kept]), 'application/json');
          if (way) saveFile(`${name}.${way.ending}`, way.write(shape, name), way.type);
        }}
      >
        <option value="">{say('moulds.asFile')}</option>
        {ways.map(({ label, ending }) => (
          <option key={ending} value={ending}>
            {say(label)}
          </option>
        ))}
        {kept && <option value={WHOLE}>{say('moulds.wholeJson')}</option>}
      </select>
    </label>
  );
}
