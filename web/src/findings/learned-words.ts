import { msg, type Message } from '@dewpot/core/units';
import type { LearnedFigure, LearnedKind, LessonGroup } from '@dewpot/core/findings';

/** What each kind of learned figure is called, and what goes by it. */
export const learnedWords: Record<LearnedKind, { readonly name: Message; readonly use: Message }> = {
  water: { name: msg('findings.learnedWater'), use: msg('findings.learnedWaterUse') },
  yield: { name: msg('findings.learnedYield'), use: msg('findings.learnedYieldUse') },
  mixing: { name: msg('findings.learnedMixing'), use: msg('findings.learnedMixingUse') },
  filling: { name: msg('findings.learnedFilling'), use: msg('findings.learnedFillingUse') },
  windows: { name: msg('findings.learnedWindows'), use: msg('findings.learnedWindowsUse') },
  demould: { name: msg('findings.learnedDemould'), use: msg('findings.learnedDemouldUse') },
  drying: { name: msg('findings.learnedDrying'), use: msg('findings.learnedDryingUse') },
  strength: { name: msg('findings.learnedStrength'), use: msg('findings.learnedStrengthUse') },
  'seal-open': { name: msg('findings.learnedSealOpen'), use: msg('findings.learnedSealUse') },
  'seal-film': { name: msg('findings.learnedSealFilm'), use: msg('findings.learnedSealUse') },
};

/** Of what a figure was learned: its mould and mix, its pigment; the whole workshop. */
export function learnedOf({ names: [name, mix] }: LearnedFigure): Message {
  if (name === undefined) return msg('findings.wholeWorkshop');
  return mix === undefined ? msg('findings.learnedOf', { name }) : msg('findings.learnedOfPair', { mould: name, mix });
}

/** Where a record of a group is read up. */
export function recordPath(group: LessonGroup, id: string): string {
  switch (group) {
    case 'mix':
    case 'bench':
      return `/pours/${id}`;
    case 'demould':
    case 'drying':
    case 'sealing':
      return `/casts/${id}`;
    case 'pigment':
      return '/tints/chips';
  }
}
