import { Injectable } from '@nestjs/common';
import { defined } from '@dewpot/core/math';
import { InputError, msg, within, type FieldIssue } from '@dewpot/core/units';
import { checkMaterial, type Material } from '@dewpot/core/materials';
import { checkMix, differencesOf } from '@dewpot/core/mixes';
import type {
  ImportedThing,
  ImportView,
  MaterialInput,
  MaterialRow,
  MaterialView,
  MixImport,
  MixInput,
  MixRow,
  MixView,
} from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import { WorkshopContext } from '../db/workshop-context.js';
import { changedFields, told } from '../db/save-edited.js';
import { MaterialsService } from '../materials/index.js';
import { MixesService } from './mixes.service.js';

const nameKey = (name: string) => name.trim().toLowerCase();

/** What a file brings, told apart from what is there by its name. */
interface Coming<Input> {
  readonly id: string;
  readonly input: Input;
  readonly thing: ImportedThing;
}

/** Brings materials and mixes in from a file: all of it or nothing, and first only said. */
@Injectable()
export class MixFilesService {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly mixes: MixesService,
    private readonly store: MaterialsService,
  ) {}

  async bring({ file, dry }: MixImport): Promise<ImportView> {
    // Two files at once would each bring the same names in.
    if (!dry) await this.rows.lockWorkshop();
    const known = await this.store.all();
    checkNames(file.materials, 'materials');
    checkNames(file.mixes, 'mixes');
    const materials = file.materials.map((row, i) => comingMaterial(row, `materials.${i}`, known.materials));
    const after = new Map<string, Material>(
      [...known.materials, ...materials.map(({ id, input }) => ({ ...input, id }))].map((one) => [
        nameKey(one.name),
        one,
      ]),
    );
    const there = await this.mixes.all();
    const mixes = file.mixes.map((row, i) =>
      comingMix(row, `mixes.${i}`, after, there, [...known.materials, ...after.values()]),
    );
    const things = [...materials, ...mixes].map(({ thing }) => thing);
    if (dry) return { things, done: false };
    for (const { id, input, thing } of materials) if (thing.does !== 'same') await this.store.saveMaterial(id, input);
    for (const { id, input, thing } of mixes) if (thing.does !== 'same') await this.mixes.save(id, input);
    return { things, done: true };
  }
}

const refuse = (issues: FieldIssue[]) => {
  if (issues.length > 0) throw new InputError(issues);
};

function checkNames(rows: readonly { readonly name: string }[], path: string): void {
  const first = (name: string) => rows.findIndex((other) => nameKey(other.name) === nameKey(name));
  refuse(
    rows.flatMap(({ name }, i) =>
      first(name) === i
        ? []
        : [
            {
              field: `${path}.${i}.name`,
              value: name,
              message: msg('server.twiceInFile', { name }),
              remedy: msg('server.leaveOneOut'),
            },
          ],
    ),
  );
}

function comingMaterial(row: MaterialRow, path: string, known: readonly MaterialView[]): Coming<MaterialInput> {
  checkMaterial(row, path);
  const there = known.find(({ name }) => nameKey(name) === nameKey(row.name));
  const { id, version = 0, ...before } = there ?? { id: uuid() };
  const changed = there ? changedFields(before, row) : [];
  return {
    id,
    input: { ...row, version },
    thing: {
      kind: 'material',
      name: row.name,
      does: !there ? 'new' : changed.length > 0 ? 'changed' : 'same',
      differences: changed.map((field) => ({ what: field, before: told(before, field), after: told(row, field) })),
    },
  };
}

/** The rows of a mix with their materials in place of names; what is nowhere is refused. */
function foundRows<Line extends Named, Dose extends Named>(
  lines: readonly Line[],
  doses: readonly Dose[],
  path: string,
  materials: ReadonlyMap<string, Material>,
) {
  const missing: FieldIssue[] = [];
  const found = <T extends Named>(rows: readonly T[], at: string) =>
    rows.flatMap(({ material: name, ...row }, i) => {
      const material = materials.get(nameKey(name));
      if (material) return [{ ...row, material }];
      missing.push({
        field: `${path}.${at}.${i}.material`,
        value: name,
        message: msg('server.notAnywhere', { name }),
        remedy: msg('server.addToFile'),
      });
      return [];
    });
  const rows = { lines: found(lines, 'lines'), doses: found(doses, 'doses') };
  refuse(missing);
  return rows;
}

interface Named {
  readonly material: string;
}

/** A kept mix with its materials in place of their keys. */
function keptRows({ lines, doses = [], ...mix }: MixView, everything: readonly Material[]) {
  const named = new Map(everything.map((one) => [one.id, one]));
  return {
    ...mix,
    lines: lines.map(({ materialId, ...line }) => ({ ...line, material: defined(named.get(materialId)) })),
    doses: doses.map(({ materialId, ...dose }) => ({ ...dose, material: defined(named.get(materialId)) })),
  };
}

const keyed = <T extends { readonly material: Material }>({ material, ...rest }: T) => ({
  ...rest,
  materialId: material.id,
});

function comingMix(
  { lines, doses = [], ...row }: MixRow,
  path: string,
  materials: ReadonlyMap<string, Material>,
  mixes: readonly MixView[],
  everything: readonly Material[],
): Coming<MixInput> {
  const rows = foundRows(lines, doses, path, materials);
  const mix = { ...row, ...rows };
  within(path, () => checkMix(mix));
  const there = mixes.find(({ name }) => nameKey(name) === nameKey(row.name));
  const differences = there ? differencesOf(keptRows(there, everything), mix) : [];
  const does = !there ? 'new' : differences.length > 0 ? 'changed' : 'same';
  return {
    id: there?.id ?? uuid(),
    input: { ...row, lines: rows.lines.map(keyed), doses: rows.doses.map(keyed), version: there?.version ?? 0 },
    thing: { kind: 'mix', name: row.name, does, differences },
  };
}
