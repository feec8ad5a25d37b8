import { accountExamples } from './accounts.js';
import { materialExamples } from './materials.js';
import { pieceExamples } from './pieces.js';
import { workshopExamples } from './workshop.js';

/** An example of what each route takes, by the name of its class: shown in the API's document, and checked by its tests. */
export const bodyExamples: Readonly<Record<string, object>> = {
  ...accountExamples,
  ...workshopExamples,
  ...materialExamples,
  ...pieceExamples,
};
