import { languages, type Language } from '@dewpot/core/units';
import { keepLanguage } from '../api/language';
import { loadLanguage } from './catalogues';
import { useSay } from './say';

/** Each language as those who speak it call it. */
const names: Record<Language, string> = { en: 'English', es: 'Español' };

/** Chooses the language of the screens. `onChoose` keeps it for a person; without one it holds in this browser. */
export function LanguageChoice({ onChoose = keepLanguage }: { onChoose?: (language: Language) => void }) {
  const say = useSay();
  const { language } = say.reader;
  // Its sentences are here before the first is said.
  const choose = (next: Language) => void loadLanguage(next).then(() => onChoose(next));
  return (
    <fieldset className="flex flex-wrap gap-1.5">
      <legend className="sr-only">{say('ui.language')}</legend>
      {languages.map((one) => (
        <label
          key={one}
          lang={one}
          className={`chamfer has-focus-visible:outline-secondary flex min-h-11 cursor-pointer items-center px-3 text-sm has-focus-visible:outline-3 ${one === language ? 'bg-neutral text-neutral-content font-semibold' : 'bg-base-300/60'}`}
        >
          <input
            type="radio"
            className="sr-only"
            name="language"
            checked={one === language}
            onChange={() => choose(one)}
          />
          {names[one]}
        </label>
      ))}
    </fieldset>
  );
}
