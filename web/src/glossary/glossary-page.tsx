import { useEffect } from 'react';
import { useLocation } from 'react-router';
import { terms, type Term } from '../ui/terms';

/** Words of the trade in plain words, in the order of the alphabet. */
export function GlossaryPage() {
  const { hash } = useLocation();
  useEffect(() => document.getElementById(hash.slice(1))?.scrollIntoView({ block: 'center' }), [hash]);
  const sorted = (Object.entries(terms) as [string, Term][]).sort(([, a], [, b]) => a.name.localeCompare(b.name));
  return (
    <div className="mx-auto max-w-4xl space-y-4 p-4">
      <h1 className="text-3xl">Glossary</h1>
      <dl className="grid gap-4 md:grid-cols-2">
        {sorted.map(([key, { name, meaning, use }]) => (
          <div key={key} id={key} className={`card-slab ${hash === `#${key}` ? 'border-secondary' : ''}`}>
            <dt className="font-head text-xl">{name}</dt>
            <dd>
              {meaning} <span className="quiet">{use}</span>
            </dd>
          </div>
        ))}
      </dl>
    </div>
  );
}
