import { useEffect } from 'react';
import { useLocation } from 'react-router';
import { terms } from '../ui/terms';
import { useSay } from '../ui/say';

/** Words of the trade in plain words, in the order of the alphabet. */
export function GlossaryPage() {
  const say = useSay();
  const { hash } = useLocation();
  useEffect(() => document.getElementById(hash.slice(1))?.scrollIntoView({ block: 'center' }), [hash]);
  const sorted = Object.entries(terms)
    .map(([key, { name, meaning, use }]) => ({ key, name: say(name), meaning: say(meaning), use: say(use) }))
    .sort((a, b) => a.name.localeCompare(b.name));
  return (
    <div className="mx-auto max-w-4xl space-y-4 p-4">
      <h1 className="text-3xl">{say('shell.glossary')}</h1>
      <dl className="grid gap-4 md:grid-cols-2">
        {sorted.map(({ key, name, meaning, use }) => (
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
