import { useMemo } from 'react';
import { defined } from '@dewpot/core/math';
import { isPigment } from '@dewpot/core/mixes';
import { tintOf } from '@dewpot/core/tints';
import type { TintView } from '@dewpot/contract';
import { Link } from 'react-router';
import { usePalette, type Palette } from '../api/tints';
import { buttonClass } from '../ui/button';
import { CastFace } from '../ui/cast-face';
import { Listed, NoneFits, Pager } from '../ui/list-bar';
import { RecipeBar } from '../ui/recipe-bar';
import { Busy, Empty, Failure } from '../ui/states';
import { useListing } from '../ui/use-listing';
import { PigmentsSlab } from './pigments-slab';
import { TintHead, TintRoom } from './tint-nav';
import { calculateTintBody, tellTint } from './tint-words';
import { useSay } from '../ui/say';

/** All tints as they dry and as they look wet, and what is known of each pigment. */
export function TintsPage() {
  const say = useSay();
  const { palette, error, isPending } = usePalette();
  const listing = useListing<TintView>('tints', ['order', 'material']);
  if (isPending) return <Busy what={say('tints.busyTints')} />;
  if (!palette) return <Failure error={error} />;
  const { materials } = palette.store;
  return (
    <TintRoom>
      <TintHead title={say('shell.tints')}>
        <Link to="/tints/new" className={buttonClass({ look: 'main' })}>
          {say('shell.newTint')}
        </Link>
      </TintHead>
      <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_21rem]">
        <Listed listing={listing} busy={say('tints.busyTints')} empty={<NoTints />}>
          {({ rows }) => (
            <div>
              <RecipeBar
                listing={listing}
                materials={materials.filter((one) => one.kind === 'binder' || isPigment(one))}
              />
              {rows.length === 0 && <NoneFits listing={listing}>{say('tints.noTintFits')}</NoneFits>}
              <ul className="grid grid-cols-2 gap-3 sm:grid-cols-3">
                {rows.map((tint) => (
                  <TintCard key={tint.id} tint={tint} palette={palette} />
                ))}
              </ul>
              <Pager listing={listing} />
            </div>
          )}
        </Listed>
        <PigmentsSlab palette={palette} />
      </div>
    </TintRoom>
  );
}

function NoTints() {
  const say = useSay();
  return (
    <Empty title={say('tints.noTintsYet')}>
      <p>{say('tints.noTintsHow')}</p>
      <p className="flex flex-wrap justify-center gap-2">
        <Link to="/tints/wanted" className={buttonClass({ look: 'main', size: 'own' })}>
          {say('shell.matchColour')}
        </Link>
        <Link to="/tints/new" className={buttonClass({ size: 'own' })}>
          {say('shell.newTint')}
        </Link>
      </p>
    </Empty>
  );
}

function TintCard({ tint, palette }: { tint: TintView; palette: Palette }) {
  const say = useSay();
  const { figures } = useMemo(() => calculateTintBody(tint, palette), [tint, palette]);
  const resolved = tintOf(tint, palette.find);
  const untried = figures?.chips === 0;
  const look = (name: string) => figures?.looks.find((one) => one.look === name)?.colour;
  return (
    <li className="card-slab hover:border-secondary p-0">
      <Link to={`/tints/${tint.id}`} className="block">
        {figures ? (
          <CastFace
            colour={defined(look('dry'))}
            other={untried ? undefined : look('wet')}
            across={untried ? figures.doubt : undefined}
            label={say('tints.faceTold', { name: tint.name, untried: untried ? 'yes' : 'no' })}
            className="h-32 w-full"
          />
        ) : (
          <span className="text-error block p-4">{say('tints.materialsGone')}</span>
        )}
        <span className="block p-3">
          <h2 className="truncate text-xl leading-tight" title={tint.name}>
            {tint.name}
          </h2>
          <span className="quiet block text-sm leading-snug">{resolved && say(tellTint(resolved))}</span>
          {figures && !untried && figures.doubt.length > 1 && (
            <span className="mt-2 flex h-3" title={say(figures.restsOn)}>
              {figures.doubt.map((colour, i) => (
                <span key={i} className="flex-1" style={{ background: colour }} />
              ))}
            </span>
          )}
          <span className="quiet mt-1 block text-xs">
            {untried
              ? say('tints.notTriedBetween')
              : figures && figures.chips < Infinity && say('tints.basedOnChips', { chips: figures.chips })}
          </span>
        </span>
      </Link>
    </li>
  );
}
