import { queryOptions } from '@tanstack/react-query';
import type { Season } from '@dewpot/core/money';
import type { CostingInput, PieceMoneyView, PieceQuery, SeasonQuery } from '@dewpot/contract';
import { ask } from './client';
import { useWrite, type Put } from './writes';

/** What a stretch of months made, took and cost. */
export const seasonQuery = ({ from, to }: SeasonQuery) =>
  queryOptions({
    queryKey: ['money', 'season', from ?? '', to ?? ''],
    queryFn: ({ signal }) => {
      const asked = new URLSearchParams({ ...(from && { from }), ...(to && { to }) }).toString();
      return ask<Season>('GET', `money/season${asked && `?${asked}`}`, undefined, signal);
    },
  });

/** What the record and the caster tell of the pieces of a mould with a mix. */
export const pieceMoneyQuery = ({ mould, mix }: PieceQuery) =>
  queryOptions({
    queryKey: ['money', 'piece', mould, mix],
    queryFn: ({ signal }) => ask<PieceMoneyView>('GET', `money/piece?mould=${mould}&mix=${mix}`, undefined, signal),
  });

/** Keeps what a caster tells of a mould's pieces. */
export const useSaveCosting = () =>
  useWrite(({ id, input }: Put<CostingInput>) => ask<void>('PUT', `money/costings/${id}`, input), 'money');
