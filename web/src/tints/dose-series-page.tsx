import { Amounts } from '../ui/amounts';
import { useState } from 'react';
import { exactly, neededDecimals, quantity, msg } from '@dewpot/core/units';
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
import { dryOf, firstBase, pigmentsOf } from './tint-words';
import { firstIssue } from '../ui/input-error-message';
import { useSay } from '../ui/say';

/** The dose of a first chip, per cent: where a pigment tells most of itself. */
const FIRST_DOSE = 2;

/** A dose of fewer steps of the scale than these is weighed too coarsely. */
const STEPS = 20;

/** A strip of chips of one pigment, planned, printed and noted. */
export function LadderPage() {
  const say = useSay();
  const { palette, error, isPending } = usePalette();
  const [search] = useSearchParams();
  if (isPending) return <Busy what={say('tints.busyPigments')} />;
  if (!palette) return <Failure error={error} />;
  const base = firstBase(palette);
  const pigments = pigmentsOf(palette);
  const wanted = search.get('pigment');
  const pigment = wanted === null ? pigments[0] : pigments.find(({ id }) => id === wanted);
  if (wanted !== null && !pigment) return <Nowhere />;
  return (
    <TintRoom>
      <TintHead title={say('shell.doseSeries')}>
        <Button onClick={() => window.print()}>
          <Printer size={18} aria-hidden="true" /> {say('mixes.print')}
        </Button>
      </TintHead>
      {base && pigment ? (
        <Ladder
          palette={palette}
          first={{ base, pigment, doses: search.get('chips') === '1' ? [FIRST_DOSE] : LADDER }}
        />
      ) : (
        <Empty title={say('tints.nothingToCast')}>
          <p>{say('tints.nothingToCastHow')}</p>
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
  const say = useSay();
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
      await save.mutateAsync({
        id: uuid(),
        input: { ...body, name: `${pigment.name} ${say.quantity(dose, '%', neededDecimals(dose))}`, version: 0 },
      });
    toast.success(say('tints.chipsPlanned', { rows: rows.length }));
    await navigate('/tints/chips');
  };
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[20rem_minmax(0,1fr)] print:block">
      <section className="card-slab no-print space-y-4" aria-label={say('tints.whichChips')}>
        <SelectField
          label={say('tints.pigment')}
          value={pigmentId}
          options={pigmentsOf(palette).map(({ id, name }) => ({ value: id, label: name }))}
          onChange={setPigment}
        />
        <BaseFields base={base} palette={palette} onChange={setBase} />
        <TextField
          label={say('tints.dosesPercent')}
          value={typed}
          error={wrong}
          onChange={(event) => setTyped(event.target.value)}
        />
        <SelectField
          label={say('tints.eachChip')}
          value={volume}
          options={[
            {
              value: CHIP,
              label: say('tints.chipSize20', {
                volume: exactly(20, 'mL'),
                sizes: say('tints.sizes', {
                  length: exactly(60, 'mm'),
                  width: exactly(40, 'mm'),
                  height: exactly(8, 'mm'),
                }),
              }),
            },
            { value: 50, label: say('tints.chipJarLid', { volume: exactly(50, 'mL') }) },
            { value: 120, label: say('tints.chipTile', { volume: exactly(120, 'mL') }) },
          ]}
          onChange={setVolume}
        />
        <Failure error={save.error} />
        <Button
          needs="caster"
          look="main"
          size="tall"
          className="w-full text-lg"
          disabled={rows.length === 0 || save.isPending}
          onClick={() => void note().catch(() => undefined)}
        >
          {save.isPending
            ? say('tints.noting')
            : rows.length === 1
              ? say('tints.noteAsPlanned')
              : say('tints.noteThese', { rows: rows.length })}
        </Button>
      </section>
      <Strip {...{ pigment, rows, scaleStep, stock }} on={say.inline(palette.find(base.binderId)?.name ?? '')} />
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
  const say = useSay();
  return (
    <section className="card-slab" aria-label={say('shell.doseSeries')}>
      <h2 className="text-2xl">{say('tints.pigmentOn', { pigment: pigment.name, on })}</h2>
      <p className="quiet mb-3 text-sm">{say('tints.seriesHow')}</p>
      {stock && (
        <p className="border-warning mb-3 border-l-4 pl-3">
          {say('tints.scaleTooCoarse', {
            scaleStep: exactly(scaleStep, 'g'),
            powder: exactly(stock.powder, 'g'),
            water: exactly(stock.water, 'mL'),
          })}
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
  const say = useSay();
  const pigment = defined(grams.pigments[0]).value;
  return (
    <li className="border-base-content/40 break-inside-avoid border p-2">
      <span className="chamfer block h-16" style={{ background: colour }} aria-hidden="true" />
      <strong className="numeral mt-1 block text-2xl">{say.quantity(dose, '%', neededDecimals(dose))}</strong>
      <span className="block text-sm leading-snug">
        <Amounts of={msg('tints.stripPigment', { mass: quantity(pigment, 'g', 2) })} />
        <br />
        {say('tints.stripBinder', { mass: quantity(grams.binder.value, 'g', 1) })}
        {grams.sand && (
          <>
            <br />
            {say('tints.stripSand', { mass: quantity(grams.sand.value, 'g', 1) })}
          </>
        )}
        <br />
        {say('tints.stripWater', { volume: quantity(grams.water.value, 'mL', 1) })}
      </span>
      {stock && (
        <span className="block text-sm">
          <Amounts
            of={msg('tints.stripStock', { volume: quantity((pigment / stock.powder) * stock.water, 'mL', 1) })}
          />
        </span>
      )}
      <span className="quiet mt-2 block text-xs leading-6">
        {say('tints.stripCast')}
        <br />
        {say('tints.stripMeasured')}
      </span>
    </li>
  );
}
