import type { labelPaper } from './label-paper';
import type { sheetPaper } from './sheet-paper';
import type { templatePaper } from './template-paper';

export { PaperButton } from './paper-button';

/** The mixing sheet as PDF; fetched when it is first asked for. */
export const makeSheet: typeof sheetPaper = async (...asked) => (await import('./sheet-paper')).sheetPaper(...asked);

/** Labels as PDF; fetched when they are first asked for. */
export const makeLabels: typeof labelPaper = async (...asked) => (await import('./label-paper')).labelPaper(...asked);

/** A template for an inset as PDF; fetched when it is first asked for. */
export const makeTemplate: typeof templatePaper = async (...asked) =>
  (await import('./template-paper')).templatePaper(...asked);
