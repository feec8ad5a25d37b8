import { staysPut } from '@dewpot/core/moulds';
import { freeMoulds, type FreeMoulds, type FullMould } from '@dewpot/core/pours';
import type { CastView, MouldView } from '@dewpot/contract';
import { placeOf } from '../ui/casts/reading';

/** Moulds in which casts still set, with when their demoulding is good. */
export const fullMoulds = (casts: readonly CastView[]): FullMould[] =>
  casts
    .filter(({ stage }) => stage === 'setting')
    .map((cast) => ({
      mouldId: cast.mouldId,
      mark: cast.snapshot.copyMark,
      place: placeOf(cast),
      name: `${cast.code}, ${cast.snapshot.mouldName}`,
      mass: cast.expected.fresh,
      fixed: staysPut(cast.snapshot),
      freeAt: cast.dues.find(({ task }) => task === 'demould')?.good ?? cast.life.pouredAt,
    }));

/** Which copies of a mould are free for so many. */
export const freeOf = ({ id, name, once, copies }: MouldView, full: readonly FullMould[], count: number): FreeMoulds =>
  freeMoulds(
    {
      name,
      once,
      copies: copies.map(({ mark, retired, condition }) => ({ mark, retired, leaks: condition === 'leaks' })),
    },
    full.filter(({ mouldId }) => mouldId === id),
    count,
  );
