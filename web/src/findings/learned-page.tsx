import { useQuery } from '@tanstack/react-query';
import { Download } from 'lucide-react';
import { fromHandbook, learnedKinds, type LearnedFigure, type LearnedKind } from '@dewpot/core/findings';
import { learnedQuery } from '../api/learned';
import { Button } from '../ui/button';
import { csvOf, type TableColumn } from '../ui/data-table';
import { PageHead } from '../ui/page-head';
import { saveFile } from '../ui/save-file';
import { Busy, Empty, Failure } from '../ui/states';
import { useSay } from '../ui/say';
import { LearnedLine } from './learned-line';
import { learnedOf, learnedWords } from './learned-words';
import { rangeOf } from './record-strip';

/** Every figure that the workshop's own records taught, beside the handbook's. */
export function LearnedPage() {
  const say = useSay();
  const { data, error, isPending } = useQuery(learnedQuery);
  const figures = data?.figures ?? [];
  const kinds = learnedKinds.filter((kind) => figures.some((one) => one.kind === kind));
  return (
    <div className="mx-auto max-w-7xl space-y-4 p-4">
      <PageHead title={say('findings.learned')}>{figures.length > 0 && <TakenOut figures={figures} />}</PageHead>
      {isPending && <Busy what={say('findings.busyLearned')} />}
      <Failure error={error} />
      {data && kinds.length === 0 && (
        <Empty title={say('findings.nothingLearned')}>
          <p>{say('findings.nothingLearnedHow')}</p>
        </Empty>
      )}
      {kinds.length > 0 && <p className="quiet text-sm">{say('findings.learnedKey')}</p>}
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-2">
        {kinds.map((kind) => (
          <KindSlab key={kind} kind={kind} figures={figures.filter((one) => one.kind === kind)} />
        ))}
      </div>
    </div>
  );
}

const distance = (figure: LearnedFigure) => Math.abs(fromHandbook(figure));

/** The figures of a kind, those furthest from the handbook first. */
function KindSlab({ kind, figures }: { kind: LearnedKind; figures: readonly LearnedFigure[] }) {
  const say = useSay();
  const name = say(learnedWords[kind].name);
  const sorted = figures.toSorted((a, b) => distance(b) - distance(a));
  const range = rangeOf(figures);
  return (
    <section className="card-slab" aria-label={name}>
      <h2 className="text-xl">{name}</h2>
      <p className="quiet mb-2 text-sm">{say(learnedWords[kind].use)}</p>
      <ul className="divide-base-300 divide-y">
        {sorted.map((figure) => (
          <LearnedLine key={figure.of.join(' ')} figure={figure} range={range} />
        ))}
      </ul>
    </section>
  );
}

/** All learned figures as a table in a file, and with their records as JSON. */
function TakenOut({ figures }: { figures: readonly LearnedFigure[] }) {
  const say = useSay();
  const columns: readonly TableColumn<LearnedFigure>[] = [
    { id: 'kind', title: say('findings.columnLearned'), value: ({ kind }) => say(learnedWords[kind].name) },
    { id: 'of', title: say('findings.columnOf'), value: (figure) => say(learnedOf(figure)) },
    { id: 'value', title: say('findings.columnValue'), value: ({ figure }) => figure.value },
    { id: 'handbook', title: say('findings.columnHandbook'), value: ({ handbook }) => handbook },
    { id: 'unit', title: say('findings.columnUnit'), value: ({ figure }) => figure.unit },
    { id: 'records', title: say('findings.columnRecords'), value: ({ records }) => records.filter(({ counts }) => counts).length },
    { id: 'since', title: say('findings.columnSince'), value: ({ since }) => (since === undefined ? '' : new Date(since).toISOString()) },
  ];
  return (
    <div className="flex flex-wrap gap-2">
      <Button onClick={() => saveFile('learned.csv', csvOf(figures, columns), 'text/csv;charset=utf-8')}>
        <Download size={16} aria-hidden="true" /> {say('ui.csv')}
      </Button>
      <Button onClick={() => saveFile('learned.json', JSON.stringify({ figures }, null, 2), 'application/json')}>
        <Download size={16} aria-hidden="true" /> {say('findings.json')}
      </Button>
    </div>
  );
} // prettier-ignore
