import { useMemo } from 'react';
import { type Phrase, msg } from '@dewpot/core/units';
import {
  simulationPieceOf,
  simulationPieces,
  type SimulationPiece,
  type SimulationPieceKey,
} from '@dewpot/core/simulation';
import type { MaterialView, MixView, MouldView } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { storeQuery } from '../api/materials';
import { mixesQuery } from '../api/mixes';
import { mouldsQuery } from '../api/moulds';
import { resolveMix } from '../mixes';
import { firstIssue } from '../ui/input-error-message';

/** What is simulated, or why it cannot be. */
interface Made {
  readonly piece?: SimulationPiece;
  readonly trouble?: Phrase | undefined;
}

/** The pieces that can be simulated: those of the handbook, and the workshop's own moulds, cast in its mixes. */
export interface Pieces {
  readonly options: readonly { readonly value: string; readonly label: Phrase }[];
  readonly mixes: readonly { readonly value: string; readonly label: string }[];
  isOwn(key: string): boolean;
  /** What a choice makes; of an own mould without a choice of mix, with the first. */
  make(key: string, mixId: string | undefined): Made;
}

const isExample = (key: string): key is SimulationPieceKey => key in simulationPieces;
const named = ({ id, name }: { readonly id: string; readonly name: string }) => ({ value: id, label: name });

function cast({ name, shape, piece }: MouldView, mix: MixView, materials: readonly MaterialView[]): Made {
  const { binderClass, moistCuringDays } = mix;
  try {
    const own = { name, shape, piece, mix: resolveMix(mix, materials), conditions: { moistCuringDays }, binderClass };
    return { piece: simulationPieceOf(own) };
  } catch (error) {
    return { trouble: firstIssue(error) };
  }
}

function piecesOf(moulds: readonly MouldView[], mixes: readonly MixView[], materials: readonly MaterialView[]): Pieces {
  const examples = Object.entries(simulationPieces).map(([value, { name }]) => ({ value, label: name }));
  return {
    options: [...examples, ...(mixes.length > 0 ? moulds.map(named) : [])],
    mixes: mixes.map(named),
    isOwn: (key) => !isExample(key),
    make: (key, mixId) => {
      if (isExample(key)) return { piece: simulationPieces[key] };
      const mould = moulds.find(({ id }) => id === key);
      const mix = mixes.find(({ id }) => id === mixId) ?? mixes[0];
      return mould && mix ? cast(mould, mix, materials) : { trouble: msg('simulation.goneMouldMix') };
    },
  };
}

export function usePieces(): Pieces {
  const moulds = useQuery(mouldsQuery).data;
  const mixes = useQuery(mixesQuery).data;
  const store = useQuery(storeQuery).data;
  return useMemo(
    () => (moulds && mixes && store ? piecesOf(moulds, mixes, store.materials) : piecesOf([], [], [])),
    [moulds, mixes, store],
  );
}
