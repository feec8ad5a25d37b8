import { useMemo } from 'react';
import type { UnitSystem } from '@dewpot/core/units';
import { useReadIn } from '../api/account';
import { useSaveSettings, useSession } from '../api/session';
import { Choice } from '../ui/choice';
import { LanguageChoice } from '../ui/language-choice';
import { useSay } from '../ui/say';
import { SelectField } from '../ui/select-field';
import { Failure } from '../ui/states';
import { currencyOptions } from './currency-options';

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
        <Choice<UnitSystem>
          legend={say('workshop.units')}
          value={workshop.units}
          options={[
            { value: 'metric', label: say('workshop.metric'), hint: 'mm, mL, g, °C' },
            { value: 'us', label: say('workshop.usCustomary'), hint: 'in, fl oz, lb, °F' },
          ]}
          onChange={(units) => save.mutate({ ...settings, units })}
        />
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
