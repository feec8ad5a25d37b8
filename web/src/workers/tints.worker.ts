import { searchTints, type ColourWish, type FoundTint } from '@dewpot/core/tints';
import { expose } from 'comlink';

const work = {
  /** Doses that come near a wanted colour; progress as a share. Ending the worker stops it. */
  search: (wish: ColourWish, progress: (done: number) => void): FoundTint[] => searchTints(wish, { progress }),
};

export type TintsWork = typeof work;
expose(work);
