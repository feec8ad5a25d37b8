import { useState } from 'react';
import { fullVolume, pieceGuides, pieceKinds } from '@dewpot/core/moulds';
import type { MouldOrder, MouldView } from '@dewpot/contract';
import { Link } from 'react-router';
import { Button, buttonClass } from '../ui/button';
import { toast } from '../ui/toast';
import { useSaveMould } from '../api/moulds';
import { FileButton } from '../ui/file-button';
import { PageHead } from '../ui/page-head';
import { Piece, pieceSize } from '../ui/piece';
import { QuantityField } from '../ui/quantity-field';
import { saveFile } from '../ui/save-file';
import { ListBar, ListChoice, Listed, ListOrder, NoneFits, NothingYet, Pager, rowsOfAll } from '../ui/list-bar';
import { Failure } from '../ui/states';
import { useListing, type Listing } from '../ui/use-listing';
import { useUnits } from '../ui/units';
import { mouldsCsv, mouldsJson, readMoulds } from './mould-files';
import { useSay } from '../ui/say';
import { identity, msg, type Message, type Phrase } from '@dewpot/core/units';

const WIDTH = 210;
const HEIGHT = 150;

/** All moulds as the pieces they make, to one scale, and which of them fit a wish. */
export function MouldsPage() {
  const say = useSay();
  const listing = useListing<MouldView>('moulds', ['order', 'piece', 'least', 'most', 'reach']);
  return (
    <div className="mx-auto max-w-6xl p-4">
      <PageHead title={say('shell.moulds')} to="/moulds/new" add={say('shell.measureMould')}>
        <Link to="/moulds/measure" className={buttonClass()}>
          {say('moulds.howMuchHolds')}
        </Link>
        <Link to="/moulds/pairs" className={buttonClass()}>
          {say('moulds.whichNest')}
        </Link>
      </PageHead>
      <Listed
        listing={listing}
        busy={say('moulds.busyMoulds')}
        empty={
          <NothingYet
            title={say('moulds.noMouldsYet')}
            how={say('moulds.noMouldsHow')}
            to="/moulds/new"
            add={say('shell.measureMould')}
          />
        }
      >
        {({ rows }) => (
          <>
            <Wish listing={listing} />
            {rows.length === 0 && <NoneFits listing={listing}>{say('moulds.noneFits')}</NoneFits>}
            <ul className="grid grid-cols-2 gap-3 sm:grid-cols-3 lg:grid-cols-5">
              {rows.map((mould) => (
                <MouldCard key={mould.id} mould={mould} scale={scaleOf(rows)} />
              ))}
            </ul>
            <Pager listing={listing} />
          </>
        )}
      </Listed>
      <Files listing={listing} />
    </div>
  );
}

/** The one scale at which the largest of them fits its card, px per mm. */
function scaleOf(moulds: readonly MouldView[]): number {
  const sizes = moulds.map(({ shape }) => pieceSize(shape, 1));
  return Math.min(...sizes.map(({ width, height }) => Math.min((WIDTH - 16) / width, (HEIGHT - 24) / height)), 1);
}

const orders: readonly { readonly value: MouldOrder; readonly label: Phrase }[] = [
  { value: 'name', label: msg('ui.byName') },
  { value: 'volume', label: msg('moulds.byVolume') },
  { value: 'height', label: msg('moulds.byHeight') },
  { value: 'cycles', label: msg('moulds.mostPoured') },
];

const pieces = pieceKinds.map((value) => ({ value, label: pieceGuides[value].name }));

const bounds = [
  { field: 'least', label: msg('moulds.holdingAtLeast'), dimension: 'volume' },
  { field: 'most', label: msg('moulds.andAtMost'), dimension: 'volume' },
  { field: 'reach', label: msg('moulds.noLargerThan'), dimension: 'length' },
] as const;

/** Which moulds are shown, and in which order. */
function Wish({ listing }: { listing: Listing<MouldView> }) {
  const say = useSay();
  const { asked, choose } = listing;
  const amount = (field: string) => (asked[field] === undefined ? undefined : Number(asked[field]));
  return (
    <ListBar listing={listing}>
      <ListChoice listing={listing} field="piece" label={say('moulds.kindOfPiece')} options={pieces} />
      {bounds.map(({ field, label, dimension }) => (
        <QuantityField
          key={field}
          className="w-32"
          label={say(label)}
          name={field}
          dimension={dimension}
          value={amount(field)}
          onChange={(value) => choose({ [field]: value === undefined ? undefined : String(value) })}
        />
      ))}
      <ListOrder listing={listing} options={orders} />
    </ListBar>
  );
}

function MouldCard({ mould, scale }: { mould: MouldView; scale: number }) {
  const say = useSay();
  const units = useUnits();
  const { id, name, shape, piece, copies, once, cycles } = mould;
  const standing = copies.filter(({ retired }) => !retired).length;
  const count = once ? say('moulds.madeAgain') : say('moulds.copiesCount', { count: standing });
  return (
    <li>
      <Link to={`/moulds/${id}`} className="card-slab hover:border-secondary block h-full p-3">
        <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full" aria-hidden="true">
          <g transform={`translate(${WIDTH / 2} ${HEIGHT - 10})`}>
            <Piece shape={shape} colour="#b3ada1" scale={scale} />
          </g>
        </svg>
        <h2 className="line-clamp-2 text-lg leading-tight" title={name}>
          {name}
        </h2>
        <p className="quiet text-sm">
          {say(pieceGuides[piece].name)}, {count}
          {cycles > 0 && `, ${say('moulds.poursCount', { count: cycles })}`}
        </p>
        <p className="numeral mt-1 text-2xl">{units.say(fullVolume(shape), 'mL')}</p>
      </Link>
    </li>
  );
}

/** Moulds out to a file, and in from one. */
function Files({ listing }: { listing: Listing<MouldView> }) {
  const say = useSay();
  const save = useSaveMould();
  const [wrong, setWrong] = useState<readonly Message[]>([]);
  const [failed, setFailed] = useState<unknown>();
  const all = () => rowsOfAll('moulds', listing);
  const give = (file: () => Promise<void>) => void file().then(() => setFailed(undefined), setFailed);
  const read = async (file: File) => {
    const { moulds: found, wrong: told } = readMoulds(await file.text());
    setWrong(told);
    for (const mould of found) await save.mutateAsync(mould);
    if (found.length > 0) toast.success(say('moulds.mouldsRead', { found: found.length }));
  };
  return (
    <section aria-label={say('moulds.files')} className="mt-4">
      <div className="flex flex-wrap gap-2">
        {listing.page && listing.page.count > 0 && (
          <>
            <Button
              look="plain"
              size="low"
              onClick={() =>
                give(async () => saveFile('moulds.csv', mouldsCsv(await all(), say), 'text/csv;charset=utf-8'))
              }
            >
              {say('moulds.theseCsv')}
            </Button>
            <Button
              look="plain"
              size="low"
              onClick={() => give(async () => saveFile('moulds.json', mouldsJson(await all()), 'application/json'))}
            >
              {say('moulds.theseJson')}
            </Button>
          </>
        )}
        <FileButton
          look="plain"
          size="low"
          label={say('moulds.fileOfMoulds')}
          accept=".json,.csv,application/json,text/csv"
          onFile={read}
        >
          {say('moulds.readFromFile')}
        </FileButton>
      </div>
      {wrong.length > 0 && (
        <ul role="alert" className="border-error mt-2 border-l-4 pl-3">
          {wrong.map((one) => (
            <li key={identity(one)}>{say(one)}</li>
          ))}
        </ul>
      )}
      <Failure error={save.error ?? failed} />
    </section>
  );
}
