import { useState } from 'react';
import { msg } from '@dewpot/core/units';
import { labOf } from '@dewpot/core/tints';
import { Printer } from 'lucide-react';
import { Link } from 'react-router';
import { useBringTints, usePalette, type Palette } from '../api/tints';
import { Button } from '../ui/button';
import { CastFace } from '../ui/cast-face';
import { FileIn } from '../ui/file-in';
import { saveFile } from '../ui/save-file';
import { Busy, Empty, Failure } from '../ui/states';
import { bookCsv, readTints, tintsJson } from './tint-files';
import { TintHead, TintRoom } from './tint-nav';
import { dryOf } from './tint-words';
import { useSay } from '../ui/say';

interface Page {
  readonly key: string;
  readonly name: string;
  readonly kind: 'tint' | 'chip';
  readonly to: string;
  readonly colour: string;
  /** Lightness, 0 to 100; chroma; hue, degrees. */
  readonly l: number;
  readonly chroma: number;
  readonly hue: number;
}

/** Under this chroma a colour has no hue to speak of. */
const GREY = 6;
const families = [
  { name: msg('tints.greys'), holds: ({ chroma }: Page) => chroma < GREY },
  { name: msg('tints.reds'), holds: ({ hue }: Page) => hue >= 330 || hue < 52 },
  { name: msg('tints.ochres'), holds: ({ hue }: Page) => hue >= 52 && hue < 98 },
  { name: msg('tints.greens'), holds: ({ hue }: Page) => hue >= 98 && hue < 200 },
  { name: msg('tints.blues'), holds: () => true },
] as const;

function pageOf(key: string, name: string, kind: Page['kind'], colour: string): Page {
  const [l, a, b] = labOf(colour);
  const hue = ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360;
  return {
    key,
    name,
    kind,
    to: kind === 'tint' ? `/tints/${key}` : '/tints/chips',
    colour,
    l,
    chroma: Math.hypot(a, b),
    hue,
  };
}

function pagesOf(palette: Palette): Page[] {
  const tints = palette.tints.flatMap((tint) => {
    const colour = dryOf(tint, palette);
    return colour ? [pageOf(tint.id, tint.name, 'tint', colour)] : [];
  });
  const chips = palette.swatches.flatMap(({ id, name, measured }) =>
    measured ? [pageOf(id, name, 'chip', measured.colour)] : [],
  );
  return [...tints, ...chips];
}

/** All tints and measured chips by hue, each family from light to dark; prints as it stands. */
export function BookPage() {
  const say = useSay();
  const { palette, error, isPending } = usePalette();
  const bring = useBringTints();
  const [kind, setKind] = useState<'all' | Page['kind']>('all');
  if (isPending) return <Busy what={say('tints.busyBook')} />;
  if (!palette) return <Failure error={error} />;
  const pages = pagesOf(palette).filter((page) => kind === 'all' || page.kind === kind);
  const rows = families.map(({ name }, i) => ({
    name,
    pages: pages.filter((page) => families.findIndex(({ holds }) => holds(page)) === i).sort((a, b) => b.l - a.l),
  }));
  return (
    <TintRoom>
      <TintHead title={say('shell.swatches')}>
        <select
          className="select select-bordered h-12 w-40"
          aria-label={say('tints.show')}
          value={kind}
          onChange={({ target }) => setKind(target.value as typeof kind)}
        >
          <option value="all">{say('tints.tintsAndChips')}</option>
          <option value="tint">{say('tints.onlyTints')}</option>
          <option value="chip">{say('tints.measuredChips')}</option>
        </select>
        <Button onClick={() => window.print()}>
          <Printer size={18} aria-hidden="true" /> {say('mixes.print')}
        </Button>
      </TintHead>
      {pages.length === 0 ? (
        <Empty title={say('tints.noSwatches')}>
          <p>{say('tints.noSwatchesHow')}</p>
        </Empty>
      ) : (
        rows
          .filter((row) => row.pages.length > 0)
          .map((row) => (
            <section key={say(row.name)} className="mb-4 break-inside-avoid" aria-label={say(row.name)}>
              <h2 className="mb-1 text-xl">{say(row.name)}</h2>
              <ul className="grid grid-cols-3 gap-2 sm:grid-cols-5 lg:grid-cols-7">
                {row.pages.map(({ key, name, kind: what, to, colour }) => (
                  <li key={key}>
                    <Link to={to} className="block">
                      <CastFace colour={colour} label={name} className="h-20 w-full print:[print-color-adjust:exact]" />
                      <span className="block truncate text-sm" title={name}>
                        {name}
                      </span>
                      <span className="quiet block text-xs">
                        {say(what === 'tint' ? 'tints.tintKind' : 'tints.chipKind', { colour })}
                      </span>
                    </Link>
                  </li>
                ))}
              </ul>
            </section>
          ))
      )}
      <div className="no-print mt-4 flex flex-wrap gap-2">
        <Button look="plain" size="low" onClick={() => saveFile('tints.json', tintsJson(palette), 'application/json')}>
          {say('mixes.allJson')}
        </Button>
        <Button
          look="plain"
          size="low"
          onClick={() => saveFile('swatch-book.csv', bookCsv(palette), 'text/csv;charset=utf-8')}
        >
          {say('tints.bookCsv')}
        </Button>
        <FileIn label={say('tints.fileOfTints')} accept=".json,application/json" read={readTints} bring={bring}>
          {say('tints.readTints')}
        </FileIn>
      </div>
    </TintRoom>
  );
}
