import { msg, type Message } from '@dewpot/core/units';
import { bonds, jointUses, type Arrangement, type JointUse } from '@dewpot/core/assembly';
import type { CastView } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import { shelfQuery } from '../api/casts';
import { Button, buttonClass } from '../ui/button';
import { Known } from '../ui/known';
import { lookToday } from '../ui/casts/look-today';
import { Choice } from '../ui/choice';
import { Picks } from '../ui/picks';
import { PieceThumb } from '../ui/piece-thumb';
import { Busy, Empty, Failure } from '../ui/states';
import { TextField } from '../ui/text-field';
import { useNow } from '../ui/use-now';
import { ArticleAnswers } from './article-answers';
import { PartsList } from './parts-list';
import { useJoining, type Joining as Join } from './use-joining';
import { useSay } from '../ui/say';

const arrangementWords: Record<Arrangement, Message> = {
  stacked: msg('assembly.standing'),
  'panel box': msg('assembly.panelsToBox'),
};
const useWords: Record<JointUse, Message> = {
  outdoors: msg('assembly.standOutdoors'),
  frost: msg('assembly.standFrost'),
  water: msg('assembly.standWater'),
  heat: msg('assembly.standHeat'),
  food: msg('assembly.standFood'),
  load: msg('assembly.useLoadField'),
};
const canBeJoined = ({ stage, snapshot }: CastView) =>
  (stage === 'curing' || stage === 'drying' || stage === 'sealed') && !snapshot.article;

/** Casts joined into one thing: what holds them, how much of it, how long clamped, and what the whole is. */
export function JoinPage() {
  const say = useSay();
  const [search] = useSearchParams();
  const { data, error, isPending } = useQuery(shelfQuery);
  if (isPending) return <Busy what={say('casts.busyCasts')} />;
  if (!data) return <Failure error={error} />;
  const casts = data.filter(canBeJoined);
  if (casts.length < 2)
    return (
      <Empty title={say('assembly.nothingToAssemble')}>
        <p>{say('assembly.nothingToAssembleHow')}</p>
        <p>
          <Link to="/" className={buttonClass({ look: 'main', size: 'own' })}>
            {say('bench.toShelf')}
          </Link>
        </p>
      </Empty>
    );
  return (
    <Known list={shelfQuery} ids={search.getAll('with')} what={say('casts.busyCasts')}>
      <Joining casts={casts} />
    </Known>
  );
}

function Joining({ casts }: { casts: readonly CastView[] }) {
  const joining = useJoining(casts);
  const { parts, setParts, arrangement, bond, figures } = joining;
  return (
    <div className="mx-auto grid max-w-7xl gap-4 p-4 lg:grid-cols-[22rem_minmax(0,1fr)]">
      <div className="space-y-4">
        <Whole joining={joining} />
        <PartsList casts={casts} parts={parts} stacked={arrangement === 'stacked'} onChange={setParts} />
      </div>
      <div className="min-w-0 space-y-4">
        <HowJoined joining={joining} />
        {figures && <ArticleAnswers figures={figures} parts={parts} bond={bond} />}
        <JoinThem joining={joining} />
      </div>
    </div>
  );
}

/** The whole as it will stand. */
function Whole({ joining: { parts, arrangement } }: { joining: Join }) {
  const say = useSay();
  const now = useNow();
  const lowest = parts[0]?.cast;
  return (
    <section className="card-slab" aria-label={say('assembly.theWhole')}>
      <h1 className="text-3xl">{say('assembly.assemble')}</h1>
      <div className="grid min-h-64 place-items-center">
        {lowest ? (
          <PieceThumb
            shape={lowest.snapshot.shape}
            colour={lookToday(lowest, now).colour}
            size={250}
            parts={(arrangement === 'stacked' ? parts : parts.slice(0, 1)).map(({ cast, over }) => {
              const { colour, faceColouring } = lookToday(cast, now);
              return { shape: cast.snapshot.shape, over, colour, faceColouring };
            })}
          />
        ) : (
          <p className="quiet text-center">{say('assembly.takeParts')}</p>
        )}
      </div>
    </section>
  );
}

function HowJoined({ joining }: { joining: Join }) {
  const say = useSay();
  const { arrangement, setArrangement, uses, setUses, holds, bond, setBond } = joining;
  return (
    <section className="card-slab space-y-4" aria-label={say('assembly.how')}>
      <Choice
        legend={say('assembly.howStand')}
        options={(Object.keys(arrangementWords) as Arrangement[]).map((value) => ({
          value,
          label: arrangementWords[value],
        }))}
        value={arrangement}
        onChange={setArrangement}
      />
      <Picks
        legend={say('assembly.jointsStand')}
        options={jointUses.map((value) => ({ value, label: useWords[value] }))}
        value={uses}
        onChange={setUses}
      />
      <Choice
        legend={say('assembly.bond')}
        options={holds.map((value) => ({ value, label: bonds[value].name }))}
        value={bond}
        onChange={setBond}
      />
      <p className="quiet text-sm">{say('assembly.bondHow', { how: say(bonds[bond].how) })}</p>
    </section>
  );
}

function JoinThem({ joining: { parts, name, setName, called, join, send } }: { joining: Join }) {
  const say = useSay();
  return (
    <section className="card-slab space-y-3" aria-label={say('assembly.assemble')}>
      <TextField
        label={say('assembly.whatCalled')}
        name="name"
        autoComplete="off"
        value={name}
        maxLength={80}
        placeholder={called || say('assembly.twoTier')}
        onChange={({ target }) => setName(target.value)}
      />
      <Failure error={join.error} />
      <Button
        needs="caster"
        look="main"
        size="bench"
        className="w-full text-lg"
        disabled={parts.length < 2 || join.isPending}
        onClick={send}
      >
        {parts.length < 2 ? say('assembly.takeTwo') : say('assembly.assembledNow')}
      </Button>
    </section>
  );
}
