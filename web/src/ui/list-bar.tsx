import { useEffect, useRef, useState, type ReactNode } from 'react';
import { ArrowLeft, ArrowRight, Download } from 'lucide-react';
import { Link } from 'react-router';
import type { Page } from '@dewpot/contract';
import { msg, type Phrase } from '@dewpot/core/units';
import { everyRow } from '../api/pages';
import { Button, buttonClass } from './button';
import { Fold } from './fold';
import { useSay } from './say';
import { SelectField } from './select-field';
import { Busy, Empty, Failure } from './states';
import type { Listing } from './use-listing';
import { useWide } from './use-wide';

/** From the last letter that is typed until the list is asked for, ms. */
const PAUSE = 250;

/** Words that a list is searched for: asked for as the typing pauses. */
function SearchWords({ value, onChange }: { value: string; onChange: (words: string) => void }) {
  const say = useSay();
  const [typed, setTyped] = useState(value);
  const told = useRef(value);
  const tell = useRef(onChange);
  useEffect(() => {
    tell.current = onChange;
    // Words that came from elsewhere, as by the way back; what is told from here comes back later than it is typed.
    if (value !== told.current) {
      told.current = value;
      setTyped(value);
    }
  }, [value, onChange]);
  useEffect(() => {
    if (typed.trim() === told.current) return undefined;
    const pause = setTimeout(() => {
      told.current = typed.trim();
      tell.current(told.current);
    }, PAUSE);
    return () => clearTimeout(pause);
  }, [typed]);
  return (
    <label className="block text-sm font-semibold">
      {say('shell.search')}
      <input
        type="search"
        maxLength={80}
        className="input input-bordered mt-1 block w-64 max-w-full font-normal"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
    </label>
  );
}

/** The head of a list: its words, its choices, how many there are, and all of them as a file. */
export function ListBar<Row>({
  listing: { asked, page, chosen, choose },
  children,
  onExport,
}: {
  listing: Listing<Row>;
  children?: ReactNode;
  onExport?: (() => Promise<void>) | undefined;
}) {
  const say = useSay();
  const wide = useWide();
  return (
    <div className="no-print mb-3 flex flex-wrap items-end gap-3">
      <SearchWords value={asked['q'] ?? ''} onChange={(q) => choose({ q })} />
      {children && (wide ? children : <Choices chosen={chosen}>{children}</Choices>)}
      <span role="status" className="quiet pb-2.5 text-sm">
        {page && say(chosen ? 'ui.foundCount' : 'ui.countInAll', { count: page.count })}
      </span>
      {onExport && <Export onExport={onExport} />}
    </div>
  );
}

interface ChoiceProps<Row> {
  readonly listing: Listing<Row>;
  readonly options: readonly { readonly value: string; readonly label: Phrase }[];
}

/** Something that a list is chosen by: any of it, or one that is offered. */
export function ListChoice<Row>({
  listing: { asked, choose },
  field,
  label,
  options,
  className,
}: ChoiceProps<Row> & { readonly field: string; readonly label: string; readonly className?: string }) {
  return (
    <SelectField
      label={label}
      {...(className && { className })}
      value={asked[field] ?? ''}
      options={[{ value: '', label: msg('ui.any') }, ...options]}
      onChange={(value) => choose({ [field]: value })}
    />
  );
}

/** What a list is in the order of; the first that is offered where nothing is asked. */
export function ListOrder<Row>({ listing: { asked, choose }, options }: ChoiceProps<Row>) {
  const say = useSay();
  return (
    <SelectField
      label={say('ui.order')}
      value={asked['order'] ?? options[0]?.value ?? ''}
      options={options}
      onChange={(order) => choose({ order })}
    />
  );
}

/** On a phone the rows come first: what they are chosen by is folded. */
function Choices({ chosen, children }: { chosen: boolean; children: ReactNode }) {
  const say = useSay();
  return (
    <div className="w-full">
      <Fold title={say('ui.choices')} state={say(chosen ? 'ui.choicesMade' : 'ui.choicesAll')}>
        <div className="flex flex-wrap items-end gap-3">{children}</div>
      </Fold>
    </div>
  );
}

function Export({ onExport }: { onExport: () => Promise<void> }) {
  const say = useSay();
  const [state, setState] = useState<{ busy: boolean; error?: unknown }>({ busy: false });
  const run = () => {
    setState({ busy: true });
    onExport().then(
      () => setState({ busy: false }),
      (error: unknown) => setState({ busy: false, error }),
    );
  };
  return (
    <>
      <Button size="low" className="ml-auto" disabled={state.busy} onClick={run}>
        <Download size={16} aria-hidden="true" /> {say('ui.csv')}
      </Button>
      <Failure error={state.error} />
    </>
  );
}

/** Every row that a list's address asks for, of all its pages. */
export const rowsOfAll = <Row,>(list: string, { asked }: Listing<Row>): Promise<Row[]> => everyRow<Row>(list, asked);

/** To the pages before and after; nothing where there is one page. */
export function Pager<Row>({ listing: { page, turn } }: { listing: Listing<Row> }) {
  const say = useSay();
  if (!page || (page.before === null && page.after === null)) return null;
  const { before, after } = page;
  return (
    <nav aria-label={say('ui.pages')} className="no-print mt-4 flex justify-center gap-3">
      {before !== null && (
        <Link to={turn('before', before)} className={buttonClass({ size: 'low' })}>
          <ArrowLeft size={16} aria-hidden="true" /> {say('ui.previousPage')}
        </Link>
      )}
      {after !== null && (
        <Link to={turn('after', after)} className={buttonClass({ size: 'low' })}>
          {say('ui.nextPage')} <ArrowRight size={16} aria-hidden="true" />
        </Link>
      )}
    </nav>
  );
}

/** Said in place of rows where none fits what is asked. */
export function NoneFits<Row>({ listing: { clear }, children }: { listing: Listing<Row>; children: ReactNode }) {
  const say = useSay();
  return (
    <p className="card-slab quiet">
      {children}{' '}
      <button type="button" className="link min-h-11" onClick={clear}>
        {say('ui.showAll')}
      </button>
    </p>
  );
}

/** In place of a list of which the workshop has nothing yet: what to do first, and the way to it. */
export function NothingYet({ title, how, to, add }: { title: string; how: string; to: string; add: string }) {
  return (
    <Empty title={title}>
      <p>{how}</p>
      <p>
        <Link to={to} className={buttonClass({ look: 'main', size: 'own' })}>
          {add}
        </Link>
      </p>
    </Empty>
  );
}

/** A list as far as it is there: being read, gone wrong, with nothing in it yet, or its page. */
export function Listed<Row>({
  listing: { page, error, isPending, chosen, clear },
  busy,
  empty,
  children,
}: {
  listing: Listing<Row>;
  busy: string;
  /** Shown where the workshop has none at all. */
  empty: ReactNode;
  children: (page: Page<Row>) => ReactNode;
}) {
  const say = useSay();
  if (isPending) return <Busy what={busy} />;
  if (!page)
    return (
      <Failure error={error}>
        {chosen && (
          <Button size="low" onClick={clear}>
            {say('ui.showAll')}
          </Button>
        )}
      </Failure>
    );
  return page.count === 0 && !chosen ? empty : children(page);
}
