import { useMemo } from 'react';
import { useQuery } from '@tanstack/react-query';
import { Download } from 'lucide-react';
import { useSearchParams } from 'react-router';
import type { Season } from '@dewpot/core/money';
import { mouldsQuery } from '../api/moulds';
import { seasonQuery } from '../api/money';
import { makeSeasonPaper, PaperButton } from '../paper';
import { Button } from '../ui/button';
import { Chart } from '../ui/chart';
import { csvOf } from '../ui/data-table';
import { PageHead } from '../ui/page-head';
import { saveFile } from '../ui/save-file';
import { SelectField } from '../ui/select-field';
import { Busy, Empty, Failure } from '../ui/states';
import { useNow } from '../ui/use-now';
import { useSay } from '../ui/say';
import { monthsBefore } from '../ui/month-words';
import { piecesOption, spendingOption } from './season-options';
import { seasonColumns } from './season-rows';
import { SeasonFigures } from './season-figures';
import { SharesSlab } from './shares-slab';

const stretches = [3, 12, 36, 120] as const;
const USUAL = 12;

/** What a season made, took, wasted and cost. */
export function SeasonPage() {
  const say = useSay();
  const now = useNow();
  const [search, setSearch] = useSearchParams();
  const chosen = stretches.find((one) => String(one) === search.get('months')) ?? USUAL;
  const season = useQuery(seasonQuery({ from: monthsBefore(now, chosen - 1) }));
  const options = stretches.map((value) => ({ value, label: say('money.lastMonths', { months: value }) }));
  return (
    <div className="mx-auto max-w-7xl space-y-4 p-4">
      <PageHead title={say('money.season')}>
        <SelectField<number> label={say('money.stretch')} value={chosen} options={options} onChange={(months) => setSearch({ months: String(months) }, { replace: true })} />
        {season.data && season.data.months.length > 0 && <TakenOut season={season.data} />}
      </PageHead>
      {season.isPending && <Busy what={say('money.busySeason')} />}
      <Failure error={season.error} />
      {season.data && (season.data.months.length > 0 ? <SeasonView season={season.data} /> : <Empty title={say('money.nothingYet')}><p>{say('money.nothingYetHow')}</p></Empty>)}
    </div>
  );
} // prettier-ignore

/** A season as a table in a file, and as a report on paper. */
function TakenOut({ season }: { season: Season }) {
  const say = useSay();
  const moulds = useQuery(mouldsQuery).data ?? [];
  return (
    <div className="flex flex-wrap items-end gap-2">
      <Button onClick={() => saveFile('season.csv', csvOf(season.months, seasonColumns(say)), 'text/csv;charset=utf-8')}>
        <Download size={16} aria-hidden="true" /> {say('ui.csv')}
      </Button>
      <PaperButton name={say('money.report')} file="season" make={(ways) => makeSeasonPaper({ season, moulds }, ways)} />
    </div>
  );
} // prettier-ignore

function SeasonView({ season }: { season: Season }) {
  const say = useSay();
  const { months, mixes, materials, stock, stockValue } = season;
  const pieces = useMemo(() => piecesOption(months, say), [months, say]);
  const spending = useMemo(() => spendingOption(months, say), [months, say]);
  return (
    <>
      <SeasonFigures season={season} />
      <div className="grid grid-cols-[minmax(0,1fr)] gap-4 lg:grid-cols-2">
        <section className="card-slab" aria-label={say('money.piecesByMonth')}>
          <h2 className="text-xl">{say('money.piecesByMonth')}</h2>
          <Chart option={pieces} height={230} label={say('money.piecesChart', { months: months.length })} />
        </section>
        <section className="card-slab" aria-label={say('money.spendingByMonth')}>
          <h2 className="text-xl">{say('money.spendingByMonth')}</h2>
          <Chart option={spending} height={230} label={say('money.spendingChart', { months: months.length })} />
        </section>
        <SharesSlab title={say('money.byMix')} rows={mixes.map(({ mix, mass }) => ({ name: mix, amount: mass, told: say.quantity(mass, 'g') }))} />
        <SharesSlab title={say('money.byMaterial')} rows={materials.map(({ material, cost, mass }) => ({ name: material, amount: cost, told: say.quantity(cost, 'money'), more: say.quantity(mass, 'g') }))} />
        <SharesSlab title={say('money.inStore', { value: say.quantity(stockValue, 'money') })} rows={stock.map(({ material, value, left }) => ({ name: material, amount: value, told: say.quantity(value, 'money'), more: say.quantity(left, 'g') }))} />
      </div>
      <p className="quiet text-sm">{say('money.howCounted')}</p>
    </>
  );
} // prettier-ignore
