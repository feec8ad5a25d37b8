import { useState } from 'react';
import type { PatternView } from '@dewpot/contract';
import { Link, useNavigate } from 'react-router';
import { cutPatternKinds, type CutPattern } from '@dewpot/core/patterns';
import { msg } from '@dewpot/core/units';
import { ListBar, ListChoice, Listed, ListOrder, NoneFits, NothingYet, Pager } from '../ui/list-bar';
import { PageHead } from '../ui/page-head';
import { FileButton } from '../ui/file-button';
import { notRead, type NotRead } from '../ui/thing-file';
import { useListing } from '../ui/use-listing';
import { useSay } from '../ui/say';
import { kindWords } from './first-patterns';
import { readPatternFile } from './pattern-file';
import { PatternThumb } from './pattern-thumb';

const orders = [
  { value: 'name', label: msg('ui.byName') },
  { value: 'changed', label: msg('patterns.lastChanged') },
];
const kinds = cutPatternKinds.map((value) => ({ value, label: kindWords[value].name }));

/** All patterns as the things that they make. */
export function PatternsPage() {
  const say = useSay();
  const listing = useListing<PatternView>('patterns', ['order', 'kind']);
  const add = { to: '/patterns/new', add: say('patterns.newPattern') };
  return (
    <div className="mx-auto max-w-6xl p-4">
      <PageHead title={say('shell.patterns')} {...add} />
      <Listed
        listing={listing}
        busy={say('patterns.busyAll')}
        empty={
          <>
            <NothingYet title={say('patterns.noneYet')} how={say('patterns.noneHow')} {...add} />
            <PatternIn />
          </>
        }
      >
        {({ rows }) => (
          <>
            <ListBar listing={listing}>
              <ListChoice listing={listing} field="kind" label={say('patterns.kind')} options={kinds} />
              <ListOrder listing={listing} options={orders} />
            </ListBar>
            {rows.length === 0 && <NoneFits listing={listing}>{say('patterns.noneFits')}</NoneFits>}
            <ul className="grid grid-cols-2 gap-3 lg:grid-cols-4">
              {rows.map(({ id, name, pattern, cut }) => (
                <li key={id}>
                  <Link to={`/patterns/${id}`} className="card-slab hover:border-secondary block h-full p-3">
                    <PatternThumb pattern={pattern as CutPattern} />
                    <h2 className="line-clamp-2 text-lg leading-tight" title={name}>
                      {name}
                    </h2>
                    <p className="quiet text-sm">
                      {say(kindWords[pattern.kind].name)}
                      {cut && `, ${say('patterns.isCut')}`}
                    </p>
                  </Link>
                </li>
              ))}
            </ul>
            <Pager listing={listing} />
            <PatternIn />
          </>
        )}
      </Listed>
    </div>
  );
}

/** A pattern in from a file: it is shown as a new one, and kept once it is saved. */
function PatternIn() {
  const say = useSay();
  const navigate = useNavigate();
  const [why, setWhy] = useState<NotRead>();
  const open = async (file: File) => {
    const read = await readPatternFile(file);
    if (typeof read === 'string') setWhy(read);
    else void navigate('/patterns/new', { state: { read } });
  };
  return (
    <div className="mt-4">
      <FileButton
        look="plain"
        size="low"
        label={say('patterns.fileOfPattern')}
        accept=".json,application/json"
        onFile={open}
      >
        {say('patterns.readPattern')}
      </FileButton>
      {why && <p role="alert">{say(notRead(why))}</p>}
    </div>
  );
}
