import { defined } from '@dewpot/core/math';
import { InputError, quantity } from '@dewpot/core/units';
import { colouringKinds, type ColouringKind } from '@dewpot/core/tints';
import { faceColouringOf, layersOf, type Layer, type PourItem } from '@dewpot/core/pours';
import type { ColouringInput, MouldView, PourItemInput, TintView } from '@dewpot/contract';
import { LayeredSection } from '../moulds';
import { Button } from '../ui/button';
import { Choice } from '../ui/choice';
import { CastFace } from '../ui/cast-face';
import { PieceThumb } from '../ui/piece-thumb';
import { evened, ofKind, withMore, without } from './colouring-draft';
import { ColourParts } from './colour-parts';
import { itemOf, type CalculatedPlan } from './plan';
import { useSay } from '../ui/say';

type Kind = ColouringKind | 'mix';
const kinds = Object.keys(colouringKinds) as ColouringKind[];

/** Layers of a banded item; none while its shares do not come to the whole. */
function layersIn(item: PourItem | undefined): readonly Layer[] {
  if (item?.colouring?.kind !== 'banded') return [];
  try {
    return layersOf({ ...item, colouring: item.colouring });
  } catch (error) {
    if (error instanceof InputError) return [];
    throw error;
  }
}

/** One mould's colouring: its kind, its tints with their shares, and how that is drawn. */
export function ColouringEditor({
  item,
  at,
  mould,
  tints,
  calculated,
  onChange,
}: {
  item: PourItemInput;
  /** Which of the pour's items it is. */
  at: number;
  mould: MouldView;
  tints: readonly TintView[];
  calculated: CalculatedPlan | undefined;
  onChange: (colouring: ColouringInput | undefined) => void;
}) {
  const say = useSay();
  const { colouring } = item;
  const planned = itemOf(calculated?.parts ?? [], at)?.item;
  const layers = layersIn(planned);
  const most = colouring ? colouringKinds[colouring.kind].parts[1] : 0;
  const put = (part: Partial<ColouringInput>) => colouring && onChange({ ...colouring, ...part });
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
      <div className="space-y-3">
        <Choice<Kind>
          legend={say('pours.mouldPoured', { mould: mould.name })}
          value={colouring?.kind ?? 'mix'}
          options={[
            { value: 'mix', label: say('pours.ownColour') },
            ...kinds.map((value) => ({ value, label: say.inline(colouringKinds[value].name) })),
          ]}
          onChange={(kind) => onChange(kind === 'mix' ? undefined : ofKind(kind, colouring, tints))}
        />
        {colouring && <p className="quiet text-sm">{say(colouringKinds[colouring.kind].how)}</p>}
        {colouring?.kind === 'banded' && <BandChoices colouring={colouring} onChange={put} />}
        {colouring && (
          <ColourParts
            colouring={colouring}
            tints={tints}
            layers={layers}
            colours={planned?.colouring?.parts.map(({ tint }) => tint.colour) ?? []}
            onChange={onChange}
            onWithout={(at) => onChange(without(colouring, at))}
          />
        )}
        {colouring && colouring.kind !== 'solid' && (
          <p className="flex flex-wrap gap-2">
            {colouring.parts.length < most && (
              <Button
                size="low"
                onClick={() => onChange(withMore(colouring, defined(tints[colouring.parts.length % tints.length]).id))}
              >
                {colouring.kind === 'banded' ? say('pours.oneBandMore') : say('pours.oneTintMore')}
              </Button>
            )}
            <Button look="plain" size="low" onClick={() => onChange(evened(colouring))}>
              {say('pours.shareEvenly')}
            </Button>
          </p>
        )}
      </div>
      {planned && colouring && <Drawn item={planned} layers={layers} onSeed={(seed) => put({ seed })} />}
    </div>
  );
}

/** How a colouring will look: bands in the section and on the piece, the rest as a likeness. */
function Drawn({ item, layers, onSeed }: { item: PourItem; layers: readonly Layer[]; onSeed: (seed: number) => void }) {
  const say = useSay();
  const { colouring, shape, name } = item;
  if (!colouring) return null;
  const whole = colouring.parts.reduce((sum, { share }) => sum + share, 0);
  if (colouring.kind === 'banded')
    return layers.length === 0 ? (
      <p className="text-warning">{say('pours.sharesCome', { whole: quantity(whole * 100, '%', 0) })}</p>
    ) : (
      <div className="grid items-center justify-items-center gap-2 sm:grid-cols-[minmax(0,1fr)_9rem]">
        <LayeredSection
          shape={shape}
          layers={layers.map(({ tint: { colour }, from, to, volume }) => ({ colour, from, to, volume: volume.value }))}
        />
        <PieceThumb
          shape={shape}
          colour={defined(layers[0]).tint.colour}
          faceColouring={faceColouringOf(item)}
          size={140}
        />
      </div>
    );
  const faceColouring = defined(faceColouringOf(item));
  const seeded = colouring.kind !== 'solid';
  return (
    <div className="flex flex-wrap items-end gap-4">
      <PieceThumb
        shape={shape}
        colour={defined(faceColouring.parts[0]).colour}
        faceColouring={faceColouring}
        size={190}
      />
      <div className="w-52">
        <CastFace
          colour={defined(faceColouring.parts[0]).colour}
          {...(seeded && { faceColouring })}
          label={`${name}: ${say.inline(colouringKinds[colouring.kind].name)}`}
          className="h-36 w-full"
        />
        {seeded && (
          <>
            <p className="quiet mt-1 text-sm">{say('pours.likenessOnly')}</p>
            <Button size="low" className="mt-1" onClick={() => onSeed((colouring.seed ?? 1) + 1)}>
              {say('pours.newPreview')}
            </Button>
          </>
        )}
      </div>
    </div>
  );
}

/** What the shares of bands are of, and how they meet. */
function BandChoices({
  colouring,
  onChange,
}: {
  colouring: ColouringInput;
  onChange: (part: Partial<ColouringInput>) => void;
}) {
  const say = useSay();
  return (
    <div className="flex flex-wrap gap-4">
      <Choice
        legend={say('pours.sharesAreOf')}
        value={colouring.by ?? 'height'}
        options={[
          { value: 'height', label: say('pours.height') },
          { value: 'volume', label: say('pours.volume') },
        ]}
        onChange={(by) => onChange({ by })}
      />
      <Choice
        legend={say('pours.theirEdge')}
        value={colouring.edge ?? 'crisp'}
        options={[
          { value: 'crisp', label: say('pours.sharpLine'), hint: say('pours.firmBelow') },
          { value: 'blended', label: say('pours.blended'), hint: say('pours.softBelow') },
        ]}
        onChange={(edge) => onChange({ edge })}
      />
    </div>
  );
}
