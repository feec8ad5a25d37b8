import { Injectable } from '@nestjs/common';
import { defined } from '@dewpot/core/math';
import { InputError, type FieldIssue, msg } from '@dewpot/core/units';
import type { Material } from '@dewpot/core/materials';
import type {
  ImportedThing,
  ImportView,
  SwatchInput,
  SwatchRow,
  TintImport,
  TintInput,
  TintRow,
} from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import { WorkshopContext } from '../db/workshop-context.js';
import { changedFields, told } from '../db/save-edited.js';
import { MaterialsService } from '../materials/index.js';
import { TintsService } from './tints.service.js';

const nameKey = (name: string) => name.trim().toLowerCase();

/** A thing of the file, told apart from what is there by its name. */
interface Coming<Input> {
  readonly id: string;
  readonly input: Input;
  readonly thing: ImportedThing;
}

/** Brings tints and chips in from a file: all of it or nothing, and first only said. */
@Injectable()
export class TintFilesService {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly tints: TintsService,
    private readonly store: MaterialsService,
  ) {}

  /** @throws InputError naming each material that is not in store */
  async bring({ file, dry }: TintImport, now: number): Promise<ImportView> {
    // Two files at once would each bring the same names in.
    if (!dry) await this.rows.lockWorkshop();
    const { materials } = await this.store.all();
    const there = await this.tints.all();
    const missing: FieldIssue[] = [];
    const find = finder(materials, missing);
    const tints = file.tints.map((row, i) => coming<TintInput>('tint', `tints.${i}`, row, there.tints, find));
    const chips = file.swatches.map((row, i) =>
      coming<SwatchInput>('chip', `swatches.${i}`, row, there.swatches, find),
    );
    if (missing.length > 0) throw new InputError(missing);
    const things = [...tints, ...chips].map(({ thing }) => thing);
    if (dry) return { things, done: false };
    for (const { id, input, thing } of tints) if (thing.does !== 'same') await this.tints.save(id, input);
    for (const { id, input, thing } of chips) if (thing.does !== 'same') await this.tints.saveSwatch(id, input, now);
    return { things, done: true };
  }
}

type Find = (name: string, field: string) => string;

/** Finds a material's key by its name, and notes what is missing. */
function finder(materials: readonly Material[], missing: FieldIssue[]): Find {
  const keys = new Map(materials.map(({ id, name }) => [nameKey(name), id]));
  return (name, field) => {
    const key = keys.get(nameKey(name));
    if (!key)
      missing.push({
        field,
        value: name,
        message: msg('server.notInStore', { name }),
        remedy: msg('server.readMaterialsFirst'),
      });
    return key ?? '';
  };
}

function coming<Input extends TintInput>(
  kind: 'tint' | 'chip',
  path: string,
  { base, doses, ...row }: TintRow | SwatchRow,
  known: readonly (Omit<Input, 'version'> & { readonly id: string; readonly version: number })[],
  find: Find,
): Coming<Input> {
  const there = known.find(({ name }) => nameKey(name) === nameKey(row.name));
  const body = {
    ...row,
    base: {
      binderId: find(base.binder, `${path}.base.binder`),
      ...(base.sand && { sandId: find(base.sand, `${path}.base.sand`) }),
    },
    doses: doses.map(({ material, amount }, i) => ({
      materialId: find(material, `${path}.doses.${i}.material`),
      amount,
    })),
  };
  const kept = there && Object.fromEntries(Object.keys(body).map((key) => [key, there[key as keyof typeof there]]));
  const changed = kept ? changedFields(kept, body) : [];
  return {
    id: there?.id ?? uuid(),
    // A row of a tint makes a tint, one of a chip makes a chip.
    input: { ...body, version: there?.version ?? 0 } as TintInput as Input,
    thing: {
      kind,
      name: row.name,
      does: !there ? 'new' : changed.length > 0 ? 'changed' : 'same',
      differences: changed.map((field) => ({
        what: field,
        before: told(defined(kept), field),
        after: told(body, field),
      })),
    },
  };
}
