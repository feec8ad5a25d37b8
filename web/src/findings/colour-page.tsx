import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useQuery } from '@tanstack/react-query';
import { fixed } from '@dewpot/core/units';
import { colourDifference } from '@dewpot/core/tints';
import type { CastDetail } from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import { useCastEvent } from '../api/cast-writes';
import { castQuery } from '../api/casts';
import { Button } from '../ui/button';
import { PageHead } from '../ui/page-head';
import { PhotoColourPick, type PhotoColour } from '../ui/photo-colour';
import { Busy, Empty, Failure } from '../ui/states';
import { tellAway } from '../ui/tell-away';
import { toast } from '../ui/toast';
import { useSay } from '../ui/say';

/** The colour of a cast's face out of a photo, beside the one that was wanted. */
export function ColourPage() {
  const say = useSay();
  const [search] = useSearchParams();
  const id = search.get('cast');
  const { data: cast, error, isPending } = useQuery({ ...castQuery(id ?? ''), enabled: id !== null });
  return (
    <div className="mx-auto max-w-7xl space-y-4 p-4">
      <PageHead title={cast ? say('findings.colourOf', { code: cast.code }) : say('findings.colourTitle')} />
      {id !== null && isPending && <Busy what={say('findings.busyCast')} />}
      <Failure error={error} />
      {id === null && (
        <Empty title={say('findings.noCastChosen')}>
          <p>{say('findings.noCastChosenHow')}</p>
        </Empty>
      )}
      {cast && <ColourOfCast cast={cast} />}
    </div>
  );
}

function ColourOfCast({ cast }: { cast: CastDetail }) {
  const say = useSay();
  const [found, setFound] = useState<PhotoColour>();
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1.6fr)_minmax(0,1fr)]">
      <section className="card-slab space-y-3" aria-label={say('ui.thePhoto')}>
        <p className="quiet text-sm">{say('findings.colourHow')}</p>
        <PhotoColourPick onColour={setFound} />
      </section>
      <section className="card-slab space-y-3" aria-label={say('findings.colourTitle')}>
        <Swatch colour={cast.snapshot.colour} label={say('findings.colourWanted')} />
        {found ? (
          <Seen key={found.colour} cast={cast} found={found} />
        ) : (
          <p className="quiet">{say('findings.colourNotYet')}</p>
        )}
        <Link className="link text-sm" to={`/casts/${cast.id}`}>
          {say('findings.backToCast', { code: cast.code })}
        </Link>
      </section>
    </div>
  );
}

const Swatch = ({ colour, label }: { colour: string; label: string }) => (
  <figure className="flex items-center gap-3">
    <span
      className="border-base-300 block h-16 w-24 rounded border"
      style={{ background: colour }}
      aria-hidden="true"
    />
    <figcaption>
      {label}
      <span className="quiet block text-sm">{colour}</span>
    </figcaption>
  </figure>
);

/** How far the colour that was seen lies from the wanted one, and where that is kept. */
function Seen({ cast, found: { colour, sure } }: { cast: CastDetail; found: PhotoColour }) {
  const say = useSay();
  const keep = useCastEvent();
  const [id] = useState(() => uuid());
  const difference = colourDifference(colour, cast.snapshot.colour);
  const save = () => keep.mutate({ castId: cast.id, event: { id, at: Date.now(), type: 'colour-seen', colour } }, { onSuccess: () => toast.success(say('findings.colourKept')) });
  return (
    <>
      <Swatch colour={colour} label={say('findings.colourSeen')} />
      <p>
        <span className="numeral text-4xl">{say('findings.differenceOf', { difference: fixed(difference, 1) })}</span>{' '}
        {say(tellAway(difference))}
      </p>
      {!sure && <p className="border-warning border-l-4 pl-2 text-sm">{say('findings.colourUnsure')}</p>}
      <Button needs="helper" look="main" size="tall" className="w-full" disabled={keep.isPending || !sure} onClick={save}>
        {say('findings.keepColour')}
      </Button>
      <Failure error={keep.error} />
    </>
  );
} // prettier-ignore
