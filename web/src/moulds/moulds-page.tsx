import { fullVolume, pieceGuides } from '@dewpot/core';
import type { MouldView } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { mouldsQuery } from '../api/work';
import { PageHead } from '../ui/page-head';
import { Piece, pieceSize } from '../ui/piece';
import { Busy, Empty, Failure } from '../ui/states';
import { useUnits } from '../ui/units';

const WIDTH = 210;
const HEIGHT = 150;

/** All moulds as the pieces they make, to one scale. */
export function MouldsPage() {
  const { data, isPending, error } = useQuery(mouldsQuery);
  if (isPending) return <Busy what="the moulds" />;
  if (!data) return <Failure error={error} />;
  const largest = Math.max(
    1,
    ...data.map(({ shape }) =>
      Math.max(shape.outer.height + 30, shape.outer.topDiameter * 0.72, shape.outer.bottomDiameter * 0.72),
    ),
  );
  return (
    <div className="mx-auto max-w-6xl p-4">
      <PageHead title="Moulds" to="/moulds/new" add="Measure a mould">
        <Link to="/moulds/measure" className="btn btn-ghost bg-base-300/60 h-12">
          How much does it hold?
        </Link>
      </PageHead>
      {data.length === 0 ? (
        <Empty title="No moulds yet">
          <p>
            Take two pails that nest, a tape, and measure the first one: you will be told how much it holds to the last
            millilitre.
          </p>
          <p>
            <Link to="/moulds/new" className="btn btn-primary">
              Measure a mould
            </Link>
          </p>
        </Empty>
      ) : (
        <ul className="grid grid-cols-2 gap-3 sm:grid-cols-3 lg:grid-cols-5">
          {data.map((mould) => (
            <MouldCard key={mould.id} mould={mould} scale={(HEIGHT - 24) / largest} />
          ))}
        </ul>
      )}
    </div>
  );
}

function MouldCard({ mould: { id, name, shape, piece, copies }, scale }: { mould: MouldView; scale: number }) {
  const units = useUnits();
  const { height } = pieceSize(shape, scale);
  return (
    <li>
      <Link to={`/moulds/${id}`} className="card-slab hover:border-secondary block h-full p-3">
        <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full" aria-hidden="true">
          <g transform={`translate(${WIDTH / 2} ${HEIGHT - 10})`} data-height={height}>
            <Piece shape={shape} colour="#b3ada1" scale={scale} />
          </g>
        </svg>
        <h2 className="line-clamp-2 text-lg leading-tight" title={name}>
          {name}
        </h2>
        <p className="quiet text-sm">
          {pieceGuides[piece].name}, {copies.length} {copies.length === 1 ? 'copy' : 'copies'}
        </p>
        <p className="numeral mt-1 text-2xl">{units.say(fullVolume(shape), 'mL')}</p>
      </Link>
    </li>
  );
}
