import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { fakeServer, mix, Refusal, renderScreen, store } from '../../test/fake-server';
import { msg } from '@dewpot/core/units';
import { english } from '@dewpot/locales/testing';
import { materialsCsv, mixesCsv, mixesJson, readMixes } from './mix-files';
import { MixesPage } from './mixes-page';

const { materials } = store;
const dosed = { ...mix, suits: 'pots', doses: [{ materialId: 'red-oxide', amount: 0.03 }] };
const fileOf = (text: string) => {
  const read = readMixes(text);
  if (!('file' in read)) throw new Error(JSON.stringify(read.issues));
  return read.file as { mixes: Record<string, unknown>[]; materials: Record<string, unknown>[] };
};
const issuesOf = (text: string) => {
  const read = readMixes(text);
  return 'issues' in read ? read.issues : [];
};

describe('a file of mixes', () => {
  it('as JSON names its format, and its materials by their names', () => {
    const file = fileOf(mixesJson([dosed], materials));
    expect(file).toMatchObject({ format: 'dew-pot-mixes', version: 2 });
    expect(file.mixes[0]).toMatchObject({
      lines: [
        { material: 'Grey Portland cement', parts: 1 },
        { material: 'Sharp sand', parts: 2.5 },
      ],
      doses: [{ material: 'Iron oxide, red', amount: 0.03 }],
    });
    expect(file.mixes[0]).not.toHaveProperty('revision');
    expect(file.materials).toHaveLength(materials.length);
  });

  it('as CSV comes back as it went out, mixes and materials alike', () => {
    const json = fileOf(mixesJson([dosed], materials));
    expect(fileOf(mixesCsv([dosed], materials)).mixes).toEqual(json.mixes);
    expect(fileOf(materialsCsv(materials)).materials).toEqual(json.materials);
  });

  it('of version 1 is read as one of today, as JSON and as CSV', () => {
    const { binderClass, moistCuringDays, ...rest } = fileOf(mixesJson([dosed], materials)).mixes[0]!;
    const old = { ...rest, setting: binderClass, dampDays: moistCuringDays };
    const json = JSON.stringify({ format: 'dew-pot-mixes', version: 1, materials: [], mixes: [old] });
    expect(fileOf(json)).toMatchObject({ version: 2, mixes: [{ ...rest, binderClass, moistCuringDays }] });
    const csv = mixesCsv([dosed], materials)
      .replace('binderClass', 'setting')
      .replace('moistCuringDays', 'dampDays')
      .replace('colourCalculated', 'colourReckoned');
    expect(fileOf(csv).mixes[0]).toMatchObject({ binderClass, moistCuringDays });
  });

  it('marks a name that a spreadsheet would take for a formula, and reads it back', () => {
    const odd = [{ ...materials[0]!, name: '=SUM(A1)' }];
    expect(materialsCsv(odd)).toContain("'=SUM(A1)");
    expect(english(issuesOf(materialsCsv(odd))[0]!.message)).toContain('formula');
  });

  it.each([
    ['nothing in it', '', /empty/],
    ['JSON cut short', '{"format": "dew', /cut short/],
    ['a list', '[1, 2]', /no file of mixes/],
    ['another table', 'a,b\n1,2', /neither materials nor mixes/],
    ['a column that is none', 'name,bulk,mood\nSand,1.5,good', /mood/],
    ['a formula for a number', 'name,bulk\nSand,=1+1', /Row 2: bulk is “=1\+1”/],
    ['fifty thousand rows', `name,bulk\n${'Sand,1.5\n'.repeat(50_000)}`, /50,000 rows; at most 5000/],
    ['three megabytes', `{"a": "${'x'.repeat(3_000_000)}"}`, /larger than 2 MB/],
  ])('with %s is refused with the remedy', (_, text, told) => {
    const [issue] = issuesOf(text);
    expect(`${issue!.field} ${english(issue!.message)}`).toMatch(told);
    expect(issue!.remedy).toBeTruthy();
  });
});

describe('reading one', () => {
  const view = {
    done: false,
    things: [
      {
        kind: 'mix',
        name: 'Lean',
        does: 'changed',
        differences: [
          {
            what: 'Sharp sand',
            before: msg('units.plain', { value: '2.5' }),
            after: msg('units.plain', { value: '4' }),
          },
        ],
      },
      { kind: 'material', name: 'Sharp sand', does: 'same', differences: [] },
    ],
  };
  const choose = async (text: string) => {
    const field = await screen.findByLabelText('A file of mixes or materials');
    await userEvent.upload(field, new File([text], 'mixes.json', { type: 'application/json' }));
  };

  it('says first what would change, and changes it only then', async () => {
    const sent = fakeServer({ 'POST mixes': view });
    renderScreen(<MixesPage />);
    await choose(mixesJson([mix], materials));
    const dialog = await screen.findByRole('dialog', { name: 'What this file would change' });
    expect(dialog).toHaveTextContent(/Lean mix, changes.*Sharp sand: 2\.5 → 4/);
    expect(sent.map(({ body }) => (body as { dry: boolean }).dry)).toEqual([true]);
    await userEvent.click(screen.getByRole('button', { name: 'Take 1 in' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(sent.map(({ body }) => (body as { dry: boolean }).dry)).toEqual([true, false]);
  });

  it('that is refused tells each field and its remedy, and sends nothing more', async () => {
    const errors = [
      { field: 'mixes.0.lines', value: 0, message: 'It has no part of a binder.', remedy: 'Add cement.' },
    ];
    const sent = fakeServer({
      'POST mixes': new Refusal({ title: 'Some values are invalid', status: 422, detail: 'no', errors }),
    });
    renderScreen(<MixesPage />);
    await choose(mixesJson([mix], materials));
    expect(await screen.findByRole('alert')).toHaveTextContent('It has no part of a binder. Add cement.');
    expect(sent).toHaveLength(1);
  });
});
