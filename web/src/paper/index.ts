import type { calendarPaper } from './calendar-paper';
import type { carePaper } from './care-paper';
import type { guidePaper } from './guide-paper';
import type { labelPaper } from './label-paper';
import type { lifePaper } from './life-paper';
import type { patternPaper } from './pattern-paper';
import type { seasonPaper } from './season-paper';
import type { sheetPaper } from './sheet-paper';
import type { templatePaper } from './template-paper';

export { castLabel } from './cast-label';
export { PaperButton } from './paper-button';
export type { PaperDay } from './calendar-paper';

/** A plan as PDF; fetched when it is first asked for. */
export const makeCalendarPaper: typeof calendarPaper = async (...asked) =>
  (await import('./calendar-paper')).calendarPaper(...asked);

/** The mixing sheet as PDF; fetched when it is first asked for. */
export const makeSheet: typeof sheetPaper = async (...asked) => (await import('./sheet-paper')).sheetPaper(...asked);

/** The report of a season as PDF; fetched when it is first asked for. */
export const makeSeasonPaper: typeof seasonPaper = async (...asked) =>
  (await import('./season-paper')).seasonPaper(...asked);

/** A care note as PDF; fetched when it is first asked for. */
export const makeCareNote: typeof carePaper = async (...asked) => (await import('./care-paper')).carePaper(...asked);

/** A cast's life as PDF; fetched when it is first asked for. */
export const makeLife: typeof lifePaper = async (...asked) => (await import('./life-paper')).lifePaper(...asked);

/** Labels as PDF; fetched when they are first asked for. */
export const makeLabels: typeof labelPaper = async (...asked) => (await import('./label-paper')).labelPaper(...asked);

/** A template for an inset as PDF; fetched when it is first asked for. */
export const makeTemplate: typeof templatePaper = async (...asked) =>
  (await import('./template-paper')).templatePaper(...asked);

/** Templates of a pattern as PDF; fetched when they are first asked for. */
export const makePatternPaper: typeof patternPaper = async (...asked) =>
  (await import('./pattern-paper')).patternPaper(...asked);

/** The guide as a book in PDF; fetched when it is first asked for. */
export const makeGuideBook: typeof guidePaper = async (...asked) =>
  (await import('./guide-paper')).guidePaper(...asked);
