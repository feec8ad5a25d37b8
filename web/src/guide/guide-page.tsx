import { use, useDeferredValue, useEffect, useState } from 'react';
import { lessons } from '@dewpot/core/simulation';
import { Link, NavLink, useLocation, useParams } from 'react-router';
import { useChosenLanguage } from '../api/language';
import { makeGuideBook, PaperButton } from '../paper';
import { buttonClass } from '../ui/button';
import { useSay } from '../ui/say';
import { TextField } from '../ui/text-field';
import { loadGuide, type Chapter } from './chapters';
import { GuideText } from './guide-text';
import { findInGuide } from './search';

/** The work, stage by stage, to be read where one stands. */
export function GuidePage() {
  const say = useSay();
  const language = useChosenLanguage();
  const chapters = use(loadGuide(language));
  const { chapter: slug } = useParams();
  const [typed, setTyped] = useState('');
  const words = useDeferredValue(typed.trim());
  const chapter = chapters.find((one) => one.slug === slug) ?? chapters[0];
  return (
    <div className="mx-auto grid max-w-6xl grid-cols-[minmax(0,1fr)] items-start gap-4 p-4 lg:grid-cols-[17rem_minmax(0,1fr)]">
      <aside className="card-slab no-print space-y-3 lg:sticky lg:top-4">
        <TextField
          label={say('shell.searchGuide')}
          value={typed}
          maxLength={60}
          onChange={(event) => setTyped(event.target.value)}
        />
        <nav aria-label={say('shell.chapters')}>
          <div lang={language} className="max-lg:flex max-lg:gap-1 max-lg:overflow-x-auto">
          {chapters.map(({ slug: to, title }) => (
            <NavLink
              key={to}
              to={`/guide/${to}`}
              onClick={() => setTyped('')}
              className={`block min-h-11 shrink-0 px-2 py-2.5 ${chapter?.slug === to ? 'bg-base-200 font-semibold' : ''}`}
              aria-current={chapter?.slug === to ? 'page' : undefined}
            >
              {title}
            </NavLink>
          ))}
          </div>
        </nav>
        <PaperButton
          name={say('shell.guideBook')}
          file="dew-pot-guide"
          make={({ say: tell, ...ways }) => makeGuideBook({ title: tell('shell.guideTitle'), chapters }, ways)}
        />
      </aside>
      {words === '' ? chapter && <ChapterText chapter={chapter} lang={language} /> : <Found chapters={chapters} words={words} />}
    </div>
  );
} // prettier-ignore

function ChapterText({ chapter: { title, lead, sections, lessons: tried = [] }, lang }: { chapter: Chapter; lang: string }) {
  const say = useSay();
  const { hash, pathname } = useLocation();
  useEffect(() => {
    const at = document.getElementById(hash.slice(1));
    if (at) at.scrollIntoView({ block: 'start' });
    else window.scrollTo(0, 0);
  }, [hash, pathname]);
  return (
    <article className="space-y-4">
      <header lang={lang} className="card-slab space-y-2">
        <h1 className="text-3xl">{title}</h1>
        <GuideText tokens={lead} />
      </header>
      {sections.map((section, i) => (
        <section key={section.title} lang={lang} id={`part-${i + 1}`} aria-label={section.title} className="card-slab scroll-mt-4 space-y-2">
          <h2 className="text-2xl">{section.title}</h2>
          <GuideText tokens={section.tokens} />
        </section>
      ))}
      {tried.length > 0 && (
        <section className="card-slab space-y-2" aria-label={say('shell.tryItFirst')}>
          <h2 className="text-2xl">{say('shell.tryItFirst')}</h2>
          <p className="flex flex-wrap gap-2">
            {tried.map((key) => (
              <Link key={key} to={`/casts/try?lesson=${key}`} className={buttonClass()}>
                {say(lessons[key].name)}
              </Link>
            ))}
          </p>
        </section>
      )}
    </article>
  );
} // prettier-ignore

function Found({ chapters, words }: { chapters: readonly Chapter[]; words: string }) {
  const say = useSay();
  const hits = findInGuide(chapters, words);
  return (
    <section className="card-slab" aria-label={say('shell.foundInGuide')}>
      <p role="status" className="mb-2">
        {say('shell.guideHits', { hits: hits.length, words })}
      </p>
      <ul className="divide-base-300 divide-y">
        {hits.map(({ slug, chapter, section, at, line }) => (
          <li key={`${slug}${at}`} className="py-2">
            <Link className="link font-semibold" to={`/guide/${slug}#part-${at + 1}`}>
              {chapter}: {section}
            </Link>
            <p className="quiet text-sm">{line}</p>
          </li>
        ))}
      </ul>
    </section>
  );
}
