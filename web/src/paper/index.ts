import type { labelPaper } from './label-paper';
import type { sheetPaper } from './sheet-paper';

export { PaperButton } from './paper-button';

/** The mixing sheet as PDF; fetched when it is first asked for. */
export const makeSheet: typeof sheetPaper = async (...asked) => (await import('./sheet-paper')).sheetPaper(...asked);

/** Labels as PDF; fetched when they are first asked for. */
export const makeLabels: typeof labelPaper = async (...asked) => (await import('./label-paper')).labelPaper(...asked);
