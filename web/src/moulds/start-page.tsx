import { Link } from 'react-router';
import { buttonClass } from '../ui/button';
import { PageHead } from '../ui/page-head';
import { ShapeThumb } from './shape-thumb';
import { startsIn } from './starts';
import { useSay } from '../ui/say';

/** Formats that moulds are read from. */
const [MESHES, OUTLINES] = ['STL · 3MF', 'SVG · DXF'];

/** What does it look like? The way into a new mould: by what one holds in the hands. */
export function StartPage() {
  const say = useSay();
  return (
    <div className="mx-auto max-w-6xl p-4">
      <PageHead title={say('moulds.whatLooksLike')}>
        <Link to="/moulds" className={buttonClass()}>
          {say('moulds.allMoulds')}
        </Link>
      </PageHead>
      <ul className="grid grid-cols-2 gap-2.5 sm:grid-cols-3 lg:grid-cols-6">
        {startsIn(say).map(({ key, name, shape }) => (
          <li key={key}>
            <Link
              to={`/moulds/new?as=${key}`}
              className="card-slab hover:border-secondary flex h-full flex-col items-center gap-2 p-3 text-center leading-tight"
            >
              <ShapeThumb shape={shape} size={104} />
              <span className="font-semibold">{name}</span>
            </Link>
          </li>
        ))}
        <li>
          <Link
            to="/moulds/file"
            className="card-slab hover:border-secondary flex h-full flex-col items-center justify-end gap-2 p-3 text-center leading-tight"
          >
            <span className="numeral grid h-[104px] place-items-center text-2xl" aria-hidden="true">
              {MESHES}
              <br />
              {OUTLINES}
            </span>
            <span className="font-semibold">{say('moulds.fileOrPhoto')}</span>
          </Link>
        </li>
      </ul>
    </div>
  );
}
