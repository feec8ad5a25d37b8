import { Amounts } from '../ui/amounts';
import { quantity, msg } from '@dewpot/core/units';
import { useMemo, useState } from 'react';
import { fullVolume } from '@dewpot/core/moulds';
import type { Grade, MixFigures } from '@dewpot/core/mixes';
import type { MixInput, MixView, MouldView } from '@dewpot/contract';
import { Findings, useJudgedPair } from '../judging';
import { SelectField } from '../ui/select-field';
import { useSay } from '../ui/say';

/** A draft is judged as if it were kept. */
const asKept = (draft: MixInput): MixView => ({ ...draft, id: 'draft', revision: 1, used: false });

/** A mould for which the mix is meant: what the piece weighs, and what speaks against the two together. */
export function ForMould({
  draft,
  figures: { freshDensity, dryDensity },
  moulds,
  onGrade,
}: {
  draft: MixInput;
  figures: MixFigures;
  moulds: readonly MouldView[];
  onGrade: (grade: Grade) => void;
}) {
  const say = useSay();
  const [id, setId] = useState('');
  const mould = moulds.find((one) => one.id === id);
  const mix = useMemo(() => asKept(draft), [draft]);
  const judged = useJudgedPair(mould, mix);
  return (
    <div>
      <SelectField
        label={say('mixes.inTheMould')}
        value={id}
        options={[
          { value: '', label: say('mixes.noneInMind') },
          ...moulds.map(({ id: value, name }) => ({ value, label: name })),
        ]}
        onChange={setId}
      />
      {mould && (
        <p className="mt-1">
          <Amounts
            of={msg('mixes.weighsFreshDry', {
              fresh: quantity(freshDensity.value * fullVolume(mould.shape), 'g'),
              dry: quantity(dryDensity.value * fullVolume(mould.shape), 'g'),
            })}
          />
        </p>
      )}
      {mould && judged && (
        <Findings judged={judged} onChange={(change) => 'grade' in change && onGrade(change.grade)} />
      )}
    </div>
  );
}
