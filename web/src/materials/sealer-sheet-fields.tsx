import { sealerClaims, sealerKinds, sealers, type SealerSheet } from '@dewpot/core/materials';
import { Picks } from '../ui/picks';
import { SelectField } from '../ui/select-field';
import { TextField } from '../ui/text-field';
import { sheetSizes, usualSheet } from './material-fields';

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
  return (
    <div className="space-y-3">
      <SelectField
        label="What kind of sealer"
        value={sheet.kind}
        options={sealerKinds.map((value) => ({ value, label: sealers[value].name }))}
        onChange={(kind) => onChange(usualSheet(kind), true)}
      />
      <div className="grid gap-3 sm:grid-cols-2">
        {sheetSizes.map(([size, label]) => (
          <TextField
            key={size}
            label={label}
            type="number"
            step="any"
            min="0"
            defaultValue={sheet[size]}
            error={tried && !Number.isFinite(sheet[size]) ? 'Enter a number.' : undefined}
            onChange={({ target }) => onChange({ ...sheet, [size]: target.valueAsNumber })}
          />
        ))}
      </div>
      <Picks
        legend="Its label says that it is for"
        options={sealerClaims.map((value) => ({ value, label: value }))}
        value={sheet.claims}
        onChange={(claims) => onChange({ ...sheet, claims })}
      />
      <p className="quiet text-sm">Food, drinking water and candles: only what the label itself allows.</p>
    </div>
  );
}
