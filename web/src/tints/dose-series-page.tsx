import { useState } from 'react';
import { defined } from '@dewpot/core/math';
import type { Material } from '@dewpot/core/materials';
import { stockFor } from '@dewpot/core/mixes';
import { CHIP, chipGrams, LADDER, tintOf } from '@dewpot/core/tints';
import { Printer } from 'lucide-react';
import { useNavigate, useSearchParams } from 'react-router';
import { Button } from '../ui/button';
import { Nowhere } from '../ui/not-found';
import { toast } from '../ui/toast';
import { v7 as uuid } from 'uuid';
import { useSession } from '../api/session';
import { usePalette, useSaveSwatch, type Palette } from '../api/tints';
import { SelectField } from '../ui/select-field';
import { Busy, Empty, Failure } from '../ui/states';
import { TextField } from '../ui/text-field';
import { BaseFields } from './base-fields';
import { TintHead, TintRoom } from './tint-nav';
import { dryOf, firstBase, pigmentsOf, within } from './tint-words';
import { firstIssue } from '../ui/input-error-message';

/** The dose of a first chip, per cent: where a pigment tells most of itself. */
const FIRST_DOSE = 2;

/** A dose of fewer steps of the scale than these is weighed too coarsely. */
const STEPS = 20;

/** A strip of chips of one pigment, planned, printed and noted. */
export function LadderPage() {
  const { palette, error, isPending } = usePalette();
  const [search] = useSearchParams();
  if (isPending) return <Busy what="the pigments" />;
  if (!palette) return <Failure error={error} />;
  const base = firstBase(palette);
  const pigments = pigmentsOf(palette);
  const wanted = search.get('pigment');
  const pigment = wanted === null ? pigments[0] : pigments.find(({ id }) => id === wanted);
  if (wanted !== null && !pigment) return <Nowhere />;
  return (
    <TintRoom>
      <TintHead title="Dose series">
        <Button onClick={() => window.print()}>
          <Printer size={18} aria-hidden="true" /> Print
        </Button>
      </TintHead>
      {base && pigment ? (
        <Ladder
          palette={palette}
          first={{ base, pigment, doses: search.get('chips') === '1' ? [FIRST_DOSE] : LADDER }}
        />
      ) : (
        <Empty title="Nothing to cast">
          <p>A dose series needs a cement and a pigment. Add them under Materials first.</p>
        </Empty>
      )}
    </TintRoom>
  );
}

const parseDoses = (text: string) =>
  text
    .split(/[;\s]+|,\s+/)
    .filter(Boolean)
    .map((one) => Number(one.replace(',', '.').replace('%', '')));

function rowsOf(
  base: { binderId: string; sandId?: string },
  pigment: Material,
  doses: readonly number[],
  volume: number,
  palette: Palette,
) {
  try {
    return {
      rows: doses.map((dose) => {
        const body = { base, doses: [{ materialId: pigment.id, amount: dose / 100 }] };
        return {
          dose,
          body,
          grams: chipGrams(defined(tintOf(body, palette.find)), volume),
          colour: dryOf(body, palette),
        };
      }),
    };
  } catch (error) {
    return { wrong: firstIssue(error) };
  }
}

function Ladder({
  palette,
  first,
}: {
  palette: Palette;
  first: { base: { binderId: string; sandId?: string }; pigment: Material; doses: readonly number[] };
}) {
  const navigate = useNavigate();
  const save = useSaveSwatch();
  const [base, setBase] = useState(first.base);
  const [pigmentId, setPigment] = useState(first.pigment.id);
  const [typed, setTyped] = useState(first.doses.join('  '));
  const [volume, setVolume] = useState(CHIP);
  const pigment = defined(palette.find(pigmentId));
  const doses = parseDoses(typed);
  const { rows = [], wrong } = rowsOf(base, pigment, doses, volume, palette);
  const { scaleStep } = useSession().workshop;
  const most = Math.max(0, ...rows.map(({ grams }) => defined(grams.pigments[0]).value));
  const stock = most > 0 && most < STEPS * scaleStep ? stockFor(most, scaleStep) : undefined;
  const note = async () => {
    for (const { dose, body } of rows)
      await save.mutateAsync({ id: uuid(), input: { ...body, name: `${pigment.name} ${dose} %`, version: 0 } });
    toast.success(`${rows.length} ${rows.length === 1 ? 'chip is' : 'chips are'} planned.`);
    await navigate('/tints/chips');
  };
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[20rem_minmax(0,1fr)] print:block">
      <section className="card-slab no-print space-y-4" aria-label="Which chips">
        <SelectField
          label="Pigment"
          value={pigmentId}
          options={pigmentsOf(palette).map(({ id, name }) => ({ value: id, label: name }))}
          onChange={setPigment}
        />
        <BaseFields base={base} palette={palette} onChange={setBase} />
        <TextField
          label="Doses, % of the binder"
          value={typed}
          error={wrong}
          onChange={(event) => setTyped(event.target.value)}
        />
        <SelectField
          label="Each chip"
          value={volume}
          options={[
            { value: CHIP, label: '20 mL: 60 × 40 × 8 mm' },
            { value: 50, label: '50 mL: a jar lid' },
            { value: 120, label: '120 mL: a tile' },
          ]}
          onChange={setVolume}
        />
        <Failure error={save.error} />
        <Button
          look="main"
          size="tall"
          className="w-full text-lg"
          disabled={rows.length === 0 || save.isPending}
          onClick={() => void note().catch(() => undefined)}
        >
          {save.isPending
            ? 'Noting…'
            : rows.length === 1
              ? 'Note it as planned'
              : `Note these ${rows.length} as planned`}
        </Button>
      </section>
      <Strip {...{ pigment, rows, scaleStep, stock }} on={within(palette.find(base.binderId)?.name ?? '')} />
    </div>
  );
}

type ChipRow = NonNullable<ReturnType<typeof rowsOf>['rows']>[number];
type Stock = ReturnType<typeof stockFor>;

function Strip({
  pigment,
  on,
  rows,
  scaleStep,
  stock,
}: {
  pigment: Material;
  /** The name of the binder. */
  on: string;
  rows: readonly ChipRow[];
  scaleStep: number;
  /** Where the scale is too coarse for the doses. */
  stock: Stock | undefined;
}) {
  return (
    <section className="card-slab" aria-label="Dose series">
      <h2 className="text-2xl">
        {pigment.name} on {on}
      </h2>
      <p className="quiet mb-3 text-sm">
        Each its own small batch, with the same water each time. Respirator on for powders; gloves. Dry them two days,
        then measure each beside a grey card.
      </p>
      {stock && (
        <p className="border-warning mb-3 border-l-4 pl-3">
          A scale of {scaleStep} g is too coarse for this: stir {stock.powder} g of pigment into {stock.water} mL of
          water that is counted, and dose that by mL. Shake it before each.
        </p>
      )}
      <ul className="grid grid-cols-2 gap-3 sm:grid-cols-3 xl:grid-cols-5">
        {rows.map((row, i) => (
          <ChipToCast key={i} row={row} stock={stock} />
        ))}
      </ul>
    </section>
  );
}

function ChipToCast({ row: { dose, grams, colour }, stock }: { row: ChipRow; stock: Stock | undefined }) {
  const pigment = defined(grams.pigments[0]).value;
  return (
    <li className="border-base-content/40 break-inside-avoid border p-2">
      <span className="chamfer block h-16" style={{ background: colour }} aria-hidden="true" />
      <strong className="numeral mt-1 block text-2xl">{dose} %</strong>
      <span className="block text-sm leading-snug">
        <strong>{pigment.toFixed(2)} g</strong> pigment
        <br />
        {grams.binder.value.toFixed(1)} g binder
        {grams.sand && (
          <>
            <br />
            {grams.sand.value.toFixed(1)} g sand
          </>
        )}
        <br />
        {grams.water.value.toFixed(1)} mL water
      </span>
      {stock && (
        <span className="block text-sm">
          or <strong>{((pigment / stock.powder) * stock.water).toFixed(1)} mL</strong> of the stock
        </span>
      )}
      <span className="quiet mt-2 block text-xs leading-6">
        cast ____________
        <br />
        measured ________
      </span>
    </li>
  );
}
