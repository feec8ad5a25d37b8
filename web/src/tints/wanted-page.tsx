import { useState } from 'react';
import { defined } from '@dewpot/core/math';
import { isMessage, msg, type Message } from '@dewpot/core/units';
import { pricePerGram, type Material } from '@dewpot/core/materials';
import { knownBase, knownPigment, tintOf, type ColourWish } from '@dewpot/core/tints';
import { usePalette, type Palette } from '../api/tints';
import { Button } from '../ui/button';
import { CastFace } from '../ui/cast-face';
import { Choice } from '../ui/choice';
import { Busy, Empty, Failure } from '../ui/states';
import { BaseFields } from './base-fields';
import { EarlierColours } from './earlier-colours';
import { FoundTints } from './found-tints';
import { PhotoColourPick } from '../ui/photo-colour';
import { PigmentDot } from './pigment-dot';
import { TintHead, TintRoom } from './tint-nav';
import { firstBase, pigmentsOf } from './tint-words';
import { useSearch } from './use-search';
import { Wrong } from '../ui/wrong';
import { firstIssue } from '../ui/input-error-message';
import { useSay } from '../ui/say';

/** Most pigments that one search goes through. */
const MOST = 8;

/** From a wanted colour to the doses that make it. */
export function WantedPage() {
  const say = useSay();
  const { palette, error, isPending } = usePalette();
  if (isPending) return <Busy what={say('tints.busyPigments')} />;
  if (!palette) return <Failure error={error} />;
  const base = firstBase(palette);
  return (
    <TintRoom>
      <TintHead title={say('shell.matchColour')} />
      {base && pigmentsOf(palette).length > 0 ? (
        <Wanted palette={palette} firstBase={base} />
      ) : (
        <Empty title={say('tints.nothingToMix')}>
          <p>{say('tints.nothingToMixHow')}</p>
        </Empty>
      )}
    </TintRoom>
  );
}

function wishOf(
  wanted: string,
  base: { binderId: string; sandId?: string },
  chosen: readonly string[],
  palette: Palette,
): ColourWish | Message {
  const tint = tintOf({ base, doses: [] }, palette.find);
  if (!tint) return msg('tints.cementGone');
  try {
    return {
      base: knownBase(tint.base, palette.colours).spectrum,
      wanted,
      pigments: pigmentsOf(palette)
        .filter(({ id }) => chosen.includes(id))
        .map((material) => {
          const price = pricePerGram(material.id, palette.store.lots);
          return {
            id: material.id,
            colourant: knownPigment(material, palette.colours).colourant,
            ...(price !== undefined && { price }),
          };
        }),
    };
  } catch (error) {
    return defined(firstIssue(error));
  }
}

function Wanted({ palette, firstBase: first }: { palette: Palette; firstBase: { binderId: string; sandId?: string } }) {
  const say = useSay();
  const pigments = pigmentsOf(palette).filter(({ colour }) => colour !== undefined);
  const held = pigments.filter(({ id }) =>
    palette.store.lots.some(({ materialId, left }) => materialId === id && left > 0),
  );
  const [by, setBy] = useState<'picker' | 'photo' | 'earlier'>('picker');
  const [wanted, setWanted] = useState('#8f9a78');
  const [base, setBase] = useState(first);
  const [chosen, setChosen] = useState<readonly string[]>(() =>
    (held.length > 0 ? held : pigments)
      .filter(({ tinting }) => !tinting?.fades && !tinting?.metallic)
      .slice(0, MOST)
      .map(({ id }) => id),
  );
  const search = useSearch();
  const wish = wishOf(wanted, base, chosen, palette);
  const toggle = (id: string) =>
    setChosen(chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id].slice(-MOST));
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.7fr)]">
      <section className="card-slab space-y-4" aria-label={say('tints.whatYouWant')}>
        <CastFace colour={wanted} label={say('tints.colourYouWant', { wanted })} className="h-32 w-full" />
        <Choice
          legend={say('tints.takeFrom')}
          value={by}
          options={[
            { value: 'picker', label: say('tints.fromPicker') },
            { value: 'photo', label: say('tints.fromPhoto') },
            { value: 'earlier', label: say('tints.fromCast') },
          ]}
          onChange={setBy}
        />
        {by === 'picker' && (
          <label className="flex items-center gap-3">
            <input
              type="color"
              className="h-12 w-20 cursor-pointer"
              aria-label={say('tints.colourDry')}
              value={wanted}
              onChange={(event) => setWanted(event.target.value)}
            />
            <span className="quiet text-sm">{say('tints.asToLook')}</span>
          </label>
        )}
        {by === 'photo' && <PhotoColourPick onColour={({ colour }) => setWanted(colour)} />}
        {by === 'earlier' && <EarlierColours palette={palette} value={wanted} onChange={setWanted} />}
        <BaseFields base={base} palette={palette} onChange={setBase} />
        <PigmentChecks pigments={pigments} chosen={chosen} onToggle={toggle} />
        {isMessage(wish) && <Wrong>{wish}</Wrong>}
        <SearchControls search={search} wish={chosen.length === 0 || isMessage(wish) ? undefined : wish} />
      </section>
      <FoundTints wanted={wanted} base={base} found={search.found} palette={palette} />
    </div>
  );
}

/** Pigments that a search may take. */
function PigmentChecks({
  pigments,
  chosen,
  onToggle,
}: {
  pigments: readonly Material[];
  chosen: readonly string[];
  onToggle: (id: string) => void;
}) {
  const say = useSay();
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-semibold">{say('tints.fromThese', { most: MOST })}</legend>
      <ul className="grid grid-cols-1 gap-x-3 sm:grid-cols-2">
        {pigments.map(({ id, name, colour, tinting }) => (
          <li key={id}>
            <label className="flex min-h-11 cursor-pointer items-center gap-2 text-sm leading-tight">
              <input
                type="checkbox"
                className="checkbox checkbox-sm"
                checked={chosen.includes(id)}
                onChange={() => onToggle(id)}
              />
              <PigmentDot colour={colour} size={20} />
              <span>
                {name}
                {tinting?.fades && <span className="text-warning block text-xs">{say('tints.fadesShort')}</span>}
              </span>
            </label>
          </li>
        ))}
      </ul>
    </fieldset>
  );
}

/** Starts the search, tells how far it is, and stops it. */
function SearchControls({ search, wish }: { search: ReturnType<typeof useSearch>; wish: ColourWish | undefined }) {
  const say = useSay();
  const ready = wish !== undefined && typeof wish !== 'string';
  return (
    <>
      <Button
        needs="caster"
        look="main"
        size="tall"
        className="w-full text-lg"
        disabled={!ready || search.done !== undefined}
        onClick={() => ready && search.look(wish)}
      >
        {say('tints.findDoses')}
      </Button>
      {search.done !== undefined && (
        <div className="flex items-center gap-3" role="status">
          <progress className="progress flex-1" value={search.done} max={1} aria-label={say('tints.searching')} />
          <Button look="plain" size="low" onClick={search.stop}>
            {say('moulds.stop')}
          </Button>
        </div>
      )}
      <Wrong>{search.failed}</Wrong>
    </>
  );
}
