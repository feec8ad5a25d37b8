import { createContext, useContext, useEffect, useMemo, useState, useSyncExternalStore, type ReactNode } from 'react';
import { makeSpeaker, type Reader, type Speaker } from '@dewpot/locales';
import { useQuery } from '@tanstack/react-query';
import { chosenLanguage, keepLanguage, useChosenLanguage } from '../api/language';
import { sessionQuery } from '../api/session';
import { catalogueCount, hasLanguage, hearCatalogues, loadLanguage, lookupIn } from './catalogues';

/** A first screen stands after so many ms: then the sentences of the others are fetched. */
const SETTLED = 2000;

/** Whoever reads before anything is known of their workshop. */
const stranger = (): Reader => ({ language: chosenLanguage(), system: 'metric', currency: 'EUR' });

function speakerOf(reader: Reader): Speaker {
  return makeSpeaker(reader, lookupIn(reader.language));
}

const SpeakerContext = createContext<Speaker | undefined>(undefined);

/** What a screen says its sentences with: in the person's language and the workshop's units. */
export function useSay(): Speaker {
  return useContext(SpeakerContext) ?? speakerOf(stranger());
}

/** Whether what is opened over a first screen can say all of its sentences, or those that can be had: until then nobody is shown a nameless control. */
export function useSentences(): boolean {
  const { language } = useSay().reader;
  const [here, setHere] = useState(() => hasLanguage(language));
  useEffect(() => {
    let left = false;
    void loadLanguage(language).then(() => left || setHere(true));
    return () => {
      left = true;
    };
  }, [language]);
  return here;
}

/** Who reads: the person who is signed in, in the units and the currency of their workshop. */
function useReader(): Reader {
  // Only looked at: whether anybody is signed in is asked elsewhere.
  const { data } = useQuery({ ...sessionQuery, enabled: false });
  const chosen = useChosenLanguage();
  const language = data?.person.language ?? chosen;
  const { units = 'metric', currency = 'EUR' } = data?.workshop ?? {};
  // What a person has chosen holds in this browser too once they have left.
  useEffect(() => {
    if (data?.person.language) keepLanguage(data.person.language);
  }, [data?.person.language]);
  return useMemo(() => ({ language, system: units, currency }), [language, units, currency]);
}

/** Lets everything below it say its sentences. Another language or other units change what is said and keep what was typed. */
export function Reads({ children }: { children: ReactNode }) {
  const reader = useReader();
  const count = useSyncExternalStore(hearCatalogues, catalogueCount);
  // A stage whose sentences have just come is said once more.
  const say = useMemo(() => (count >= 0 ? speakerOf(reader) : undefined), [reader, count]);
  useEffect(() => {
    document.documentElement.lang = reader.language;
    const settled = setTimeout(() => void loadLanguage(reader.language), SETTLED);
    return () => clearTimeout(settled);
  }, [reader.language]);
  return <SpeakerContext value={say}>{children}</SpeakerContext>;
}
