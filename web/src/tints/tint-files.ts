import { msg } from '@dewpot/core/units';
import { TINT_FILE, type SwatchView, type TintBody, type TintView } from '@dewpot/contract';
import { labOf } from '@dewpot/core/tints';
import { unparse } from 'papaparse';
import type { Palette } from '../api/tints';
import type { ReadFile } from '../ui/file-in';
import { dryOf } from './tint-words';

const named = (body: TintBody, { find }: Palette) => ({
  base: {
    binder: find(body.base.binderId)?.name ?? '',
    ...(body.base.sandId && { sand: find(body.base.sandId)?.name ?? '' }),
  },
  doses: body.doses.map(({ materialId, amount }) => ({ material: find(materialId)?.name ?? '', amount })),
});

const bare = (
  { id: _id, version: _version, revision: _revision, used: _used, ...tint }: TintView,
  palette: Palette,
) => ({
  ...tint,
  ...named(tint, palette),
});

const bareChip = ({ id: _id, version: _version, ...chip }: SwatchView, palette: Palette) => ({
  ...chip,
  ...named(chip, palette),
});

/** Tints and chips as JSON, their materials by name: to be read again here or elsewhere. */
export const tintsJson = (palette: Palette): string =>
  JSON.stringify(
    {
      ...TINT_FILE,
      tints: palette.tints.map((tint) => bare(tint, palette)),
      swatches: palette.swatches.map((chip) => bareChip(chip, palette)),
    },
    null,
    2,
  );

/** The swatch book as a table: one row a tint or chip, with its colours and L*a*b*. */
export function bookCsv(palette: Palette): string {
  const row = (kind: string, name: string, body: TintBody, measured?: string) => {
    const { base, doses } = named(body, palette);
    const predicted = dryOf(body, palette);
    const lab = measured ?? predicted;
    const [l, a, b] = lab ? labOf(lab).map((n) => n.toFixed(2)) : [];
    return {
      kind,
      name,
      binder: base.binder,
      sand: base.sand ?? '',
      doses: doses.map(({ material, amount }) => `${material} ${Number((amount * 100).toPrecision(4))} %`).join('; '),
      predicted,
      measured,
      l,
      a,
      b,
    };
  };
  return unparse(
    [
      ...palette.tints.map((tint) => row('tint', tint.name, tint)),
      ...palette.swatches.map((chip) => row('chip', chip.name, chip, chip.measured?.colour)),
    ],
    { escapeFormulae: true },
  );
}

/** Reads a file of tints as far as it can be told here: what is in it is judged by the server. */
export function readTints(text: string, name: string): ReadFile {
  try {
    const file = JSON.parse(text) as unknown;
    if (typeof file === 'object' && file !== null) return { file };
  } catch {
    // What is no JSON is told of below, like JSON that holds no file.
  }
  return {
    issues: [{ field: 'file', value: name, message: msg('files.noJson', { name }), remedy: msg('files.chooseOwn') }],
  };
}
