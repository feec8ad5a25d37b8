import { sealerClaims, sealerKinds, sealers, type SealerSheet } from '@dewpot/core/materials';
import { Picks } from '../ui/picks';
import { SelectField } from '../ui/select-field';
import { TextField } from '../ui/text-field';
import { claimWords, sheetSizes, usualSheet } from './material-fields';
import { useSay } from '../ui/say';

/** What the sheet of a sealer says. The usual figures of its kind stand there until the product's own replace them. */
export function SealerSheetFields({
  sheet,
  tried,
  onChange,
}: {
  sheet: SealerSheet;
  tried: boolean;
  /** `again` where the figures were put in from elsewhere. */
  onChange: (sheet: SealerSheet, replaced?: boolean) => void;
}) {
  const say = useSay();
  return (
    <div className="space-y-3">
      <SelectField
        label={say('materials.whatSealer')}
        value={sheet.kind}
        options={sealerKinds.map((value) => ({ value, label: sealers[value].name }))}
        onChange={(kind) => onChange(usualSheet(kind), true)}
      />
      <div className="grid gap-3 sm:grid-cols-2">
        {sheetSizes.map(([size, label]) => (
          <TextField
            key={size}
            label={say(label)}
            type="number"
            step="any"
            min="0"
            defaultValue={sheet[size]}
            error={tried && !Number.isFinite(sheet[size]) ? say('materials.enterNumber') : undefined}
            onChange={({ target }) => onChange({ ...sheet, [size]: target.valueAsNumber })}
          />
        ))}
      </div>
      <Picks
        legend={say('materials.labelSays')}
        options={sealerClaims.map((value) => ({ value, label: claimWords[value] }))}
        value={sheet.claims}
        onChange={(claims) => onChange({ ...sheet, claims })}
      />
      <p className="quiet text-sm">{say('materials.labelCaution')}</p>
    </div>
  );
}
