import { useDeferredValue, useEffect, useRef, useState, type KeyboardEvent } from 'react';
import type { SearchHit, SearchKind } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { searchQuery } from '../api/search';
import { stations } from './stations';
import { Dialog } from '../ui/dialog';
import { Failure } from '../ui/states';
import { TextField } from '../ui/text-field';
import { terms } from '../ui/terms';
import { innerScreens } from './inner-screens';

interface Found {
  readonly to: string;
  readonly name: string;
  readonly note: string;
}

const kinds: Record<SearchKind, { readonly note: string; readonly to: (id: string) => string }> = {
  mould: { note: 'mould', to: (id) => `/moulds/${id}` },
  mix: { note: 'mix', to: (id) => `/mixes/${id}` },
  tint: { note: 'tint', to: (id) => `/tints/${id}` },
  material: { note: 'material', to: () => '/materials' },
  place: { note: 'place', to: () => '/workshop/places' },
  pour: { note: 'pour', to: (id) => `/pours/${id}` },
  cast: { note: 'cast', to: (id) => `/casts/${id}` },
};

const screensWith = (words: string): Found[] =>
  [...stations, ...innerScreens]
    .filter(({ name }) => name.toLowerCase().includes(words.toLowerCase()))
    .map(({ path, name }) => ({ to: path, name, note: 'screen' }));

const termsWith = (words: string): Found[] =>
  Object.entries(terms)
    .filter(([, { name }]) => name.toLowerCase().includes(words.toLowerCase()))
    .map(([key, { name }]) => ({ to: `/glossary#${key}`, name, note: 'word' }));

const foundOf = ({ kind, id, name, mould }: SearchHit): Found => ({
  to: kinds[kind].to(id),
  name: kind === 'pour' ? `Pour ${name}` : mould ? `${name}, ${mould}` : name,
  note: kinds[kind].note,
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
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => field.current?.focus(), []);
  const [typed, setTyped] = useState('');
  const words = useDeferredValue(typed.trim());
  const { data, error } = useQuery(searchQuery(words));
  const found = words === '' ? [] : [...(data ?? []).map(foundOf), ...screensWith(words), ...termsWith(words)];
  const open = (event: KeyboardEvent<HTMLElement>) => {
    if (event.key !== 'Enter' || !(event.target instanceof HTMLInputElement)) return;
    event.currentTarget.querySelector('a')?.click();
  };
  return (
    <Dialog title="Search" onClose={onClose}>
      <div
        onKeyDown={(event) => {
          moveFocus(event);
          open(event);
        }}
      >
        <TextField
          label="Pieces by code, moulds, mixes, tints, materials, places, screens"
          value={typed}
          maxLength={80}
          ref={field}
          type="search"
          onChange={({ target }) => setTyped(target.value)}
        />
        <ul className="divide-base-300 mt-3 divide-y" aria-label="Found">
          {found.map(({ to, name, note }) => (
            <li key={`${note} ${to} ${name}`}>
              <Link
                to={to}
                onClick={onClose}
                className="hover:bg-base-200 flex min-h-11 items-center justify-between gap-4 px-2 py-1"
              >
                <span className="min-w-0 break-words">{name}</span>
                <span className="quiet shrink-0 text-sm">{note}</span>
              </Link>
            </li>
          ))}
        </ul>
        {words !== '' && found.length === 0 && data && <p className="quiet">Nothing has “{words}” in its name.</p>}
        <Failure error={error} />
      </div>
    </Dialog>
  );
}
