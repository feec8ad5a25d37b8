import { useEffect, useState } from 'react';
import { useChosenLanguage } from '../api/language';
import type { GuideHit } from '../guide';

/** So many of its sections are listed among what else was found. */
const MOST = 5;

/** The sections of the guide that have these words; fetched with the first of them. */
export function useGuideHits(words: string): readonly GuideHit[] {
  const language = useChosenLanguage();
  const [found, setFound] = useState<readonly GuideHit[]>([]);
  useEffect(() => {
    let over = false;
    const find = async () => {
      const { loadGuide, findInGuide } = await import('../guide');
      const hits = findInGuide(await loadGuide(language), words).slice(0, MOST);
      if (!over) setFound(hits);
    };
    // What else was found stands without it.
    if (words !== '') find().catch(() => undefined);
    return () => {
      over = true;
    };
  }, [words, language]);
  return words === '' ? [] : found;
}
