import { Link, useNavigate } from 'react-router';
import { buttonClass } from '../ui/button';
import { PageHead } from '../ui/page-head';
import { ShapeFileButton } from './shape-file-button';
import { FileAsks, takesDrop } from './file-asks';
import { useFileReading } from './use-file-reading';

/** A mould from a file: a mesh, an outline, or the photo of a leaf. */
export function FilePage() {
  const navigate = useNavigate();
  const reading = useFileReading();
  return (
    <div className="mx-auto max-w-6xl p-4">
      <PageHead title="A mould from a file">
        <Link to="/moulds/new" className={buttonClass()}>
          By what it looks like
        </Link>
      </PageHead>
      <section
        className="card-slab grid place-items-center gap-3 border-dashed p-8 text-center"
        aria-label="Choose a file"
        {...takesDrop(reading.open)}
      >
        <p>
          Drop a mesh (<strong>STL, OBJ, 3MF</strong>), an outline (<strong>SVG, DXF</strong>) or a photo of a leaf or a
          tray here. It stays on this machine.
        </p>
        <ShapeFileButton look="main" size="tall" label="Choose a file" onFile={reading.open} />
      </section>
      <FileAsks reading={reading} onStart={(start) => void navigate('/moulds/new', { state: { start } })} />
    </div>
  );
}
