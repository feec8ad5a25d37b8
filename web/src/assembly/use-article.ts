import { useMemo } from 'react';
import { calculateArticle, type ArticleFigures, type ArticlePlan } from '@dewpot/core/assembly';
import { massKnown } from '@dewpot/core/casts';
import type { ArticlePartRow } from './parts-list';

/** What joining these parts implies; undefined for fewer than two. */
export function useArticle({
  parts,
  arrangement,
  bond,
  uses,
  temperature,
  liftLimit,
}: Omit<ArticlePlan, 'parts'> & { readonly parts: readonly ArticlePartRow[] }): ArticleFigures | undefined {
  return useMemo(
    () =>
      parts.length < 2
        ? undefined
        : calculateArticle({
            arrangement,
            bond,
            uses,
            temperature: Math.min(40, Math.max(-5, temperature)),
            liftLimit,
            parts: parts.map(({ cast: { code, snapshot, life, expected }, over }) => ({
              code,
              name: snapshot.mouldName,
              shape: snapshot.shape,
              over,
              mass: massKnown(life, expected),
            })),
          }),
    [parts, arrangement, bond, uses, temperature, liftLimit],
  );
}
