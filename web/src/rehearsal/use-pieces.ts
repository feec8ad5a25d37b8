import { useMemo } from 'react';
import { rehearsalPieceOf, rehearsalPieces, type RehearsalPiece, type RehearsalPieceKey } from '@dewpot/core';
import type { MaterialView, MixView, MouldView } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { mixesQuery, mouldsQuery, storesQuery } from '../api/work';
import { resolveMix } from '../mixes';
import { sayRefusal } from '../ui/say-refusal';

/** What is rehearsed, or why it cannot be. */
export interface Made {
  readonly piece?: RehearsalPiece;
  readonly trouble?: string;
}

/** The pieces that can be rehearsed: those of the handbook, and the workshop's own moulds, cast in its mixes. */
export interface Pieces {
  readonly options: readonly { readonly value: string; readonly label: string }[];
  readonly mixes: readonly { readonly value: string; readonly label: string }[];
  isOwn(key: string): boolean;
  /** What a choice makes; of an own mould without a choice of mix, with the first. */
  make(key: string, mixId: string | undefined): Made;
}

const isExample = (key: string): key is RehearsalPieceKey => key in rehearsalPieces;
const named = ({ id, name }: { readonly id: string; readonly name: string }) => ({ value: id, label: name });

function cast({ name, shape, piece }: MouldView, mix: MixView, materials: readonly MaterialView[]): Made {
  const { setting, dampDays } = mix;
  try {
    const own = { name, shape, piece, mix: resolveMix(mix, materials), conditions: { dampDays }, setting };
    return { piece: rehearsalPieceOf(own) };
  } catch (error) {
    return { trouble: sayRefusal(error) };
  }
}

function piecesOf(moulds: readonly MouldView[], mixes: readonly MixView[], materials: readonly MaterialView[]): Pieces {
  const examples = Object.entries(rehearsalPieces).map(([value, { name }]) => ({ value, label: name }));
  return {
    options: [...examples, ...(mixes.length > 0 ? moulds.map(named) : [])],
    mixes: mixes.map(named),
    isOwn: (key) => !isExample(key),
    make: (key, mixId) => {
      if (isExample(key)) return { piece: rehearsalPieces[key] };
      const mould = moulds.find(({ id }) => id === key);
      const mix = mixes.find(({ id }) => id === mixId) ?? mixes[0];
      return mould && mix ? cast(mould, mix, materials) : { trouble: 'Its mould or its mix is not here any more.' };
    },
  };
}

export function usePieces(): Pieces {
  const moulds = useQuery(mouldsQuery).data;
  const mixes = useQuery(mixesQuery).data;
  const stores = useQuery(storesQuery).data;
  return useMemo(
    () => (moulds && mixes && stores ? piecesOf(moulds, mixes, stores.materials) : piecesOf([], [], [])),
    [moulds, mixes, stores],
  );
}
