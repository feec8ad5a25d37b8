import { useMemo } from 'react';
import { InputError, type FieldIssue, identity, msg, type Message } from '@dewpot/core/units';
import { insetView, layInset, rimOf, withoutInserts, type InsetFace, type LaidInset } from '@dewpot/core/moulds';
import type { InsetInput, MouldView, PourItemInput } from '@dewpot/contract';
import { Choice } from '../ui/choice';
import { InsetDrawing } from '../ui/inset-drawing';
import { QuantityField } from '../ui/quantity-field';
import { FigureWorking } from '../ui/figure-working';
import { useUnits } from '../ui/units';
import { InsetSource } from './inset-source';
import { TemplateButton } from './template-button';
import { useSay } from '../ui/say';

const faces: { value: InsetFace; label: Message; hint: Message }[] = [
  { value: 'mould', label: msg('pours.againstMould'), hint: msg('pours.againstMouldHow') },
  { value: 'open', label: msg('pours.onOpenFace'), hint: msg('pours.onOpenFaceHow') },
];

/** Lettering or a picture in a mould: what it is, where it lies, and a template to lay it by. */
export function InsetEditor({
  item,
  mould,
  onChange,
}: {
  item: PourItemInput;
  mould: MouldView;
  onChange: (inset: InsetInput | undefined) => void;
}) {
  const say = useSay();
  const { inset } = item;
  return (
    <section
      aria-label={say('pours.inlayRelief')}
      className={inset && 'grid gap-x-6 gap-y-3 lg:grid-cols-[minmax(0,24rem)_minmax(0,1fr)]'}
    >
      <div className="space-y-3">
        <InsetSource inset={inset} onChange={onChange} />
        {inset && <InsetPlace inset={inset} onChange={onChange} />}
      </div>
      {inset && <Laid inset={inset} item={item} mould={mould} />}
    </section>
  );
}

/** On which face an inset is, where on it, how thick, and whether it stays. */
function InsetPlace({ inset, onChange }: { inset: InsetInput; onChange: (inset: InsetInput) => void }) {
  const say = useSay();
  const put = (part: Partial<InsetInput>) => onChange({ ...inset, ...part });
  const sizes = [
    ['thickness', say('pours.howThick'), inset.thickness],
    ['x', say('pours.toRight'), inset.x ?? 0],
    ['y', say('pours.up'), inset.y ?? 0],
  ] as const;
  return (
    <>
      <Choice legend={say('pours.whereItIs')} value={inset.face} options={faces} onChange={(face) => put({ face })} />
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
        {sizes.map(([name, label, value]) => (
          <QuantityField
            key={name}
            label={label}
            name={name}
            dimension="length"
            value={value}
            onChange={(size) => size !== undefined && put({ [name]: size })}
          />
        ))}
        <label className="block text-sm font-semibold">
          {say('pours.turned')}
          <input
            type="number"
            min={-180}
            max={180}
            className="input input-bordered mt-1 w-full"
            value={inset.turn ?? 0}
            onChange={({ target }) => put({ turn: target.valueAsNumber || 0 })}
          />
        </label>
      </div>
      <Choice
        legend={say('pours.afterwards')}
        value={inset.stays ? 'stays' : 'out'}
        options={[
          { value: 'out', label: say('pours.removed'), hint: say('pours.removedHow') },
          { value: 'stays', label: say('pours.itStays'), hint: say('pours.itStaysHow') },
        ]}
        onChange={(what) => put({ stays: what === 'stays' })}
      />
    </>
  );
}

/** How an inset is laid, or what is wrong with it. */
function laidOrIssues(...asked: Parameters<typeof layInset>): { laid?: LaidInset; issues: readonly FieldIssue[] } {
  try {
    return { laid: layInset(...asked), issues: [] };
  } catch (error) {
    if (error instanceof InputError) return { issues: error.issues };
    throw error;
  }
}

/** As it must lie, as it will be read, and what that leaves of the piece. */
function Laid({ inset, item, mould }: { inset: InsetInput; item: PourItemInput; mould: MouldView }) {
  const say = useSay();
  const units = useUnits();
  const { piece } = mould;
  // What is left out this time is not in its way.
  const shape = useMemo(() => withoutInserts(mould.shape, item.without), [mould.shape, item.without]);
  const fillTo = item.fillTo ?? rimOf(shape);
  const { laid, issues } = useMemo(() => laidOrIssues(shape, inset, { fillTo, piece }), [shape, inset, fillTo, piece]);
  const view = laid ?? insetView(shape, inset, fillTo);
  return (
    <div className="space-y-3">
      <div className="grid gap-3 sm:grid-cols-2">
        {(['lies', 'reads'] as const).map((as) => (
          <figure key={as} className="bg-base-100 border-base-300 border p-3">
            <InsetDrawing view={view} as={as} wrong={issues.length > 0} />
            <figcaption className="mt-2 text-center text-sm">
              {as === 'lies'
                ? say('pours.asItLies', { mirrored: inset.face === 'mould' ? 'yes' : 'no' })
                : say('pours.asItReads')}
            </figcaption>
          </figure>
        ))}
      </div>
      {laid ? (
        <>
          <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
            <p>
              <span className="quiet block text-sm">{say('pours.nearestEdge')}</span>
              <span className="numeral text-2xl">{units.sayFigure(laid.clear)}</span>
            </p>
            <p>
              <span className="quiet block text-sm">{say('pours.mixBehind')}</span>
              <span className="numeral text-2xl">{units.sayFigure(laid.behind)}</span>
            </p>
            <div>
              {say('pours.takesOut', { volume: laid.volume })} <FigureWorking figure={laid.volume} />
            </div>
          </div>
          {laid.warnings.map((text) => (
            <p key={identity(text)} className="border-warning border-l-4 pl-3 text-sm">
              {say(text)}
            </p>
          ))}
          <TemplateButton inset={inset} laid={laid} mould={mould.name} />
        </>
      ) : (
        <ul role="alert" className="border-error border-l-4 pl-3">
          {issues.map(({ field, message, remedy }) => (
            <li key={field}>
              {say(message)} <span className="quiet">{say(remedy)}</span>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
