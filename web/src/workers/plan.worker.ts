import { expose } from 'comlink';
import { reckonParts } from '../pours/reckon-parts';

const work = {
  /** Sheets and steps of a pour's parts, or what is wrong with them. */
  reckon: reckonParts,
};

export type PlanWork = typeof work;
expose(work);
