import { useState } from 'react';
import { fullVolume, pieceGuides, type PieceKind } from '@dewpot/core/moulds';
import type { MouldView } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { Button, buttonClass } from '../ui/button';
import { toast } from '../ui/toast';
import { mouldsQuery, useSaveMould } from '../api/moulds';
import { FileButton } from '../ui/file-button';
import { PageHead } from '../ui/page-head';
import { Piece, pieceSize } from '../ui/piece';
import { QuantityField } from '../ui/quantity-field';
import { saveFile } from '../ui/save-file';
import { SelectField } from '../ui/select-field';
import { Busy, Empty, Failure } from '../ui/states';
import { TextField } from '../ui/text-field';
import { useUnits } from '../ui/units';
import { chooseMoulds, noWish, type MouldOrder, type MouldWish } from './mould-filter';
import { mouldsCsv, mouldsJson, readMoulds } from './mould-files';
import { useSay } from '../ui/say';
import { identity, msg, type Message, type Phrase } from '@dewpot/core/units';

const WIDTH = 210;
const HEIGHT = 150;

/** All moulds as the pieces they make, to one scale, and which of them fit a wish. */
export function MouldsPage() {
  const say = useSay();
  const { data, isPending, error } = useQuery(mouldsQuery);
  const [wish, setWish] = useState(noWish);
  if (isPending) return <Busy what={say('moulds.busyMoulds')} />;
  if (!data) return <Failure error={error} />;
  const shown = chooseMoulds(data, wish, say);
  const sizes = shown.map(({ shape }) => pieceSize(shape, 1));
  const scale = Math.min(
    ...sizes.map(({ width, height }) => Math.min((WIDTH - 16) / width, (HEIGHT - 24) / height)),
    1,
  );
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
      {data.length === 0 ? (
        <Empty title={say('moulds.noMouldsYet')}>
          <p>{say('moulds.noMouldsHow')}</p>
          <p>
            <Link to="/moulds/new" className={buttonClass({ look: 'main', size: 'own' })}>
              {say('shell.measureMould')}
            </Link>
          </p>
        </Empty>
      ) : (
        <>
          <Wish wish={wish} onChange={setWish} />
          {shown.length === 0 && (
            <p className="card-slab quiet">
              {say('moulds.noneFits', { count: data.length })}{' '}
              <button type="button" className="link" onClick={() => setWish(noWish)}>
                {say('moulds.showAll')}
              </button>
            </p>
          )}
          <ul className="grid grid-cols-2 gap-3 sm:grid-cols-3 lg:grid-cols-5">
            {shown.map((mould) => (
              <MouldCard key={mould.id} mould={mould} scale={scale} />
            ))}
          </ul>
        </>
      )}
      <Files moulds={shown} />
    </div>
  );
}

const orders: readonly { readonly value: MouldOrder; readonly label: Phrase }[] = [
  { value: 'name', label: msg('moulds.byName') },
  { value: 'volume', label: msg('moulds.byVolume') },
  { value: 'height', label: msg('moulds.byHeight') },
  { value: 'cycles', label: msg('moulds.mostPoured') },
];

function Wish({ wish, onChange }: { wish: MouldWish; onChange: (wish: MouldWish) => void }) {
  const say = useSay();
  const put = (part: Partial<MouldWish>) => onChange({ ...wish, ...part });
  const bound = (label: string, field: 'least' | 'most' | 'reach', dimension: 'volume' | 'length') => (
    <QuantityField
      label={label}
      name={field}
      dimension={dimension}
      value={wish[field]}
      onChange={(value) => put({ [field]: value })}
    />
  );
  return (
    <section
      aria-label={say('moulds.whichMoulds')}
      className="mb-3 grid grid-cols-2 items-end gap-3 sm:grid-cols-3 lg:grid-cols-6"
    >
      <TextField
        label={say('shell.search')}
        value={wish.word}
        onChange={(event) => put({ word: event.target.value })}
      />
      <SelectField<PieceKind | ''>
        label={say('moulds.kindOfPiece')}
        value={wish.piece ?? ''}
        options={[
          { value: '', label: say('moulds.anything') },
          ...(Object.keys(pieceGuides) as PieceKind[]).map((value) => ({ value, label: pieceGuides[value].name })),
        ]}
        onChange={(piece) => {
          const { piece: _, ...rest } = wish;
          onChange(piece === '' ? rest : { ...rest, piece });
        }}
      />
      {bound(say('moulds.holdingAtLeast'), 'least', 'volume')}
      {bound(say('moulds.andAtMost'), 'most', 'volume')}
      {bound(say('moulds.noLargerThan'), 'reach', 'length')}
      <SelectField
        label={say('moulds.order')}
        value={wish.order}
        options={orders}
        onChange={(order) => put({ order })}
      />
    </section>
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
function Files({ moulds }: { moulds: readonly MouldView[] }) {
  const say = useSay();
  const save = useSaveMould();
  const [wrong, setWrong] = useState<readonly Message[]>([]);
  const read = async (file: File) => {
    const { moulds: found, wrong: told } = readMoulds(await file.text());
    setWrong(told);
    for (const mould of found) await save.mutateAsync(mould);
    if (found.length > 0) toast.success(say('moulds.mouldsRead', { found: found.length }));
  };
  return (
    <section aria-label={say('moulds.files')} className="mt-4">
      <div className="flex flex-wrap gap-2">
        {moulds.length > 0 && (
          <>
            <Button
              look="plain"
              size="low"
              onClick={() => saveFile('moulds.csv', mouldsCsv(moulds, say), 'text/csv;charset=utf-8')}
            >
              {say('moulds.theseCsv')}
            </Button>
            <Button
              look="plain"
              size="low"
              onClick={() => saveFile('moulds.json', mouldsJson(moulds), 'application/json')}
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
      <Failure error={save.error} />
    </section>
  );
}
