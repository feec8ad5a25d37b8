import type { LessonKey } from '@dewpot/core/simulation';

/** Where a chapter of the guide belongs. */
export interface ChapterPlace {
  readonly slug: string;
  /** Begins of the addresses from which it is opened. */
  readonly from: readonly string[];
  /** Lessons of the simulation in which its work is tried first. */
  readonly lessons?: readonly LessonKey[];
}

/** The chapters in the order of the work: each is a file under docs/guide in each language, numbered so. */
export const places: readonly ChapterPlace[] = [
  { slug: 'moulds', from: ['/moulds', '/patterns'] },
  { slug: 'mixes', from: ['/mixes', '/materials'] },
  { slug: 'tints', from: ['/tints'] },
  { slug: 'pours', from: ['/pours'] },
  { slug: 'bench', from: ['/bench'] },
  { slug: 'curing', from: ['/', '/casts/try'], lessons: ['heatwave', 'cold shed', 'lightweight left bare'] },
  { slug: 'sealing', from: ['/casts/weigh', '/casts'], lessons: ['sealed too soon'] },
  { slug: 'findings', from: ['/findings'] },
  { slug: 'calendar', from: ['/calendar'] },
  { slug: 'money', from: ['/findings/money', '/findings/season'] },
  { slug: 'workshop', from: ['/workshop', '/waiting', '/set-up'] },
];

/** The chapter about what is done at an address: that of the longest begin that fits. */
export function chapterAt(pathname: string): string {
  const at = /^\/pours\/[^/]+\/bench$/.test(pathname) ? '/bench' : pathname;
  const fits = (begin: string) => begin !== '/' && (at === begin || at.startsWith(`${begin}/`));
  const [best] = places
    .flatMap(({ slug, from }) => from.filter(fits).map((begin) => ({ slug, begin })))
    .sort((a, b) => b.begin.length - a.begin.length);
  return best?.slug ?? 'curing';
}
