import { useMemo } from 'react';
import { useReadIn } from '../api/account';
import { useSaveSettings, useSession } from '../api/session';
import { LanguageChoice } from '../ui/language-choice';
import { useSay } from '../ui/say';
import { SelectField } from '../ui/select-field';
import { Failure } from '../ui/states';
import { currencyOptions } from './currency-options';
import { UnitsChoice } from './units-choice';

/** Language, units and currency of a new workshop. Each holds at once, so that the rest is asked in them; what was typed stays. */
export function ReadingFields() {
  const say = useSay();
  const { workshop } = useSession();
  const readIn = useReadIn();
  const save = useSaveSettings();
  const { id: _, demo: __, ...settings } = workshop;
  const currencies = useMemo(() => currencyOptions(say.reader), [say.reader]);
  return (
    <div className="space-y-4">
      <LanguageChoice onChoose={(language) => readIn.mutate(language)} />
      <div className="grid gap-4 sm:grid-cols-2">
        <UnitsChoice value={workshop.units} onChange={(units) => save.mutate({ ...settings, units })} />
        <SelectField
          label={say('workshop.currency')}
          value={workshop.currency}
          options={currencies}
          onChange={(currency) => save.mutate({ ...settings, currency })}
        />
      </div>
      <Failure error={readIn.error ?? save.error} />
    </div>
  );
}
