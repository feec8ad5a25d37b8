import { Link, useNavigate } from 'react-router';
import { buttonClass } from '../ui/button';
import { PageHead } from '../ui/page-head';
import { ShapeFileButton } from './shape-file-button';
import { FileAsks, takesDrop } from './file-asks';
import { useFileReading } from './use-file-reading';
import { useSay } from '../ui/say';

/** A mould from a file: a mesh, an outline, or the photo of a leaf. */
export function FilePage() {
  const say = useSay();
  const navigate = useNavigate();
  const reading = useFileReading();
  return (
    <div className="mx-auto max-w-6xl p-4">
      <PageHead title={say('moulds.mouldFromFile')}>
        <Link to="/moulds/new" className={buttonClass()}>
          {say('moulds.byLooks')}
        </Link>
      </PageHead>
      <section
        className="card-slab grid place-items-center gap-3 border-dashed p-8 text-center"
        aria-label={say('moulds.chooseFile')}
        {...takesDrop(reading.open)}
      >
        <p>{say('moulds.dropMesh')}</p>
        <ShapeFileButton look="main" size="tall" label={say('moulds.chooseFile')} onFile={reading.open} />
      </section>
      <FileAsks reading={reading} onStart={(start) => void navigate('/moulds/new', { state: { start } })} />
    </div>
  );
}
