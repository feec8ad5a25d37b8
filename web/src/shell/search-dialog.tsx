import { useDeferredValue, useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { msg, type Message, identity } from '@dewpot/core/units';
import type { SearchHit, SearchKind } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { Speaker } from '@dewpot/locales';
import { searchQuery } from '../api/search';
import { stations } from './stations';
import { Dialog } from '../ui/dialog';
import { Failure } from '../ui/states';
import { TextField } from '../ui/text-field';
import { terms } from '../ui/terms';
import type { GuideHit } from '../guide';
import { useGuideHits } from './guide-hits';
import { innerScreens } from './inner-screens';
import { useSay } from '../ui/say';

interface Found {
  readonly to: string;
  readonly name: string;
  readonly note: Message;
}

const kinds: Record<SearchKind, { readonly note: Message; readonly to: (id: string) => string }> = {
  mould: { note: msg('shell.kindMould'), to: (id) => `/moulds/${id}` },
  pattern: { note: msg('shell.kindPattern'), to: (id) => `/patterns/${id}` },
  mix: { note: msg('shell.kindMix'), to: (id) => `/mixes/${id}` },
  tint: { note: msg('shell.kindTint'), to: (id) => `/tints/${id}` },
  material: { note: msg('shell.kindMaterial'), to: () => '/materials' },
  place: { note: msg('shell.kindPlace'), to: () => '/workshop/places' },
  pour: { note: msg('shell.kindPour'), to: (id) => `/pours/${id}` },
  cast: { note: msg('shell.kindCast'), to: (id) => `/casts/${id}` },
};

const screensWith = (words: string, say: Speaker): Found[] =>
  [...stations, ...innerScreens]
    .map(({ path, name }) => ({ path, name: say(name) }))
    .filter(({ name }) => name.toLowerCase().includes(words.toLowerCase()))
    .map(({ path, name }) => ({ to: path, name, note: msg('shell.kindScreen') }));

const termsWith = (words: string, say: Speaker): Found[] =>
  Object.entries(terms)
    .map(([key, { name }]) => ({ key, name: say(name) }))
    .filter(({ name }) => name.toLowerCase().includes(words.toLowerCase()))
    .map(({ key, name }) => ({ to: `/glossary#${key}`, name, note: msg('shell.kindWord') }));

const foundOf = ({ kind, id, name, mould }: SearchHit, say: Speaker): Found => ({
  to: kinds[kind].to(id),
  name: kind === 'pour' ? say('shell.pourNumber', { name }) : mould ? `${name}, ${mould}` : name,
  note: kinds[kind].note,
});

const inGuide = ({ slug, chapter, section, at }: GuideHit): Found => ({
  to: `/guide/${slug}#part-${at + 1}`,
  name: `${chapter}: ${section}`,
  note: msg('shell.kindGuide'),
});

/** The arrow keys go from the field to what was found, and on. */
function moveFocus(event: KeyboardEvent<HTMLElement>): void {
  const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
  if (step === undefined) return;
  const stops = [...event.currentTarget.querySelectorAll<HTMLElement>('input, a')];
  const next = stops[stops.findIndex((stop) => stop === document.activeElement) + step];
  event.preventDefault();
  next?.focus();
}

/** Everything in the workshop, found by a part of its name. */
export function SearchDialog({ onClose }: { onClose: () => void }) {
  const say = useSay();
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => field.current?.focus(), []);
  const [typed, setTyped] = useState('');
  const words = useDeferredValue(typed.trim());
  const { data, error } = useQuery(searchQuery(words));
  const guide = useGuideHits(words);
  const found =
    words === ''
      ? []
      : [
          ...(data ?? []).map((hit) => foundOf(hit, say)),
          ...screensWith(words, say),
          ...termsWith(words, say),
          ...guide.map(inGuide),
        ];
  const open = (event: KeyboardEvent<HTMLElement>) => {
    if (event.key !== 'Enter' || !(event.target instanceof HTMLInputElement)) return;
    event.currentTarget.querySelector('a')?.click();
  };
  return (
    <Dialog title={say('shell.search')} onClose={onClose}>
      <div
        onKeyDown={(event) => {
          moveFocus(event);
          open(event);
        }}
      >
        <TextField
          label={say('shell.searchLabel')}
          value={typed}
          maxLength={80}
          ref={field}
          type="search"
          onChange={({ target }) => setTyped(target.value)}
        />
        <ul className="divide-base-300 mt-3 divide-y" aria-label={say('shell.found')}>
          {found.map(({ to, name, note }) => (
            <li key={`${identity(note)} ${to} ${name}`}>
              <Link
                to={to}
                onClick={onClose}
                className="hover:bg-base-200 flex min-h-11 items-center justify-between gap-4 px-2 py-1"
              >
                <span className="min-w-0 break-words">{name}</span>
                <span className="quiet shrink-0 text-sm">{say(note)}</span>
              </Link>
            </li>
          ))}
        </ul>
        {words !== '' && found.length === 0 && data && <p className="quiet">{say('shell.nothingFound', { words })}</p>}
        <Failure error={error} />
      </div>
    </Dialog>
  );
}
