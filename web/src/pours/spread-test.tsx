import { useState } from 'react';
import { fixed } from '@dewpot/core/units';
import { consistency, gradeOfSpread, type Grade } from '@dewpot/core/mixes';
import { QuantityField } from '../ui/quantity-field';
import { sayRefusal } from '../ui/input-error-message';
import { useSay } from '../ui/say';

const CUP = 80;

/** The spread test, step by step: two diameters tell how wet it came out. */
export function SpreadTest({ onGrade }: { onGrade: (grade: Grade) => void }) {
  const say = useSay();
  const [cup, setCup] = useState<number | undefined>(CUP);
  const [told, setTold] = useState<string>();
  const tell = (puddle: number | undefined) => {
    if (puddle === undefined || cup === undefined) return;
    try {
      const { grade, spread } = gradeOfSpread(puddle, cup);
      setTold(say('pours.spreadTold', { spread: fixed(spread, 2), name: say(consistency(grade).name) }));
      onGrade(grade);
    } catch (error) {
      setTold(sayRefusal(error, say));
    }
  };
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2 font-semibold">{say('pours.bySpreadTest')}</summary>
      <p className="quiet text-sm">{say('pours.spreadHow')}</p>
      <div className="mt-2 grid grid-cols-2 gap-3">
        <QuantityField label={say('pours.cupIs')} name="cup" dimension="length" value={cup} onChange={setCup} />
        <QuantityField
          label={say('pours.puddleIs')}
          name="puddle"
          dimension="length"
          value={undefined}
          onChange={tell}
        />
      </div>
      {told && <p role="status">{told}</p>}
    </details>
  );
}
