import type { Speaker } from '@dewpot/locales';

const browsers: readonly (readonly [RegExp, string])[] = [
  [/Firefox\//, 'Firefox'],
  [/Edg\//, 'Edge'],
  [/Chrom(e|ium)\//, 'Chromium'],
  [/Safari\//, 'Safari'],
];
const systems: readonly (readonly [RegExp, string])[] = [
  [/Android/, 'Android'],
  [/iPhone|iPad/, 'iOS'],
  [/Windows/, 'Windows'],
  [/Mac OS X/, 'macOS'],
  [/Linux/, 'Linux'],
];

/** What a browser calls itself, in short: its family and the system that it runs on. */
export function browserName(agent: string, say: Speaker): string {
  const first = (of: readonly (readonly [RegExp, string])[]) => of.find(([pattern]) => pattern.test(agent))?.[1];
  const [browser, system] = [first(browsers), first(systems)];
  return say('workshop.browserOn', {
    browser: browser ?? '',
    system: system ?? '',
    known: browser ? 'yes' : 'no',
    on: system ? 'yes' : 'no',
  });
}
