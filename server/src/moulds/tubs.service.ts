import { Injectable } from '@nestjs/common';
import { InputError, msg } from '@dewpot/core/units';
import { isTubSolid } from '@dewpot/core/moulds';
import { checkSolid } from '@dewpot/core/solids';
import { solidOf, type TubInput, type TubView } from '@dewpot/contract';
import { tubView } from './moulds.mappers.js';
import { TubEntity } from './moulds.entities.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { saveEdited } from '../db/save-edited.js';

/** The tubs and pails that the caster owns, among which pairs are looked for. */
@Injectable()
export class TubsService {
  constructor(private readonly rows: WorkshopContext) {}

  async all(): Promise<TubView[]> {
    return (await this.rows.of(TubEntity).find({ order: { name: 'ASC' } })).map(tubView);
  }

  async save(id: string, { version, name, inside, wall }: TubInput): Promise<TubView> {
    const solid = solidOf(inside);
    checkSolid(solid);
    if (!isTubSolid(solid)) {
      const remedy = msg('server.describeTub');
      throw new InputError([{ field: 'inside.kind', value: solid.kind, message: msg('server.tubStraight'), remedy }]);
    }
    const body = { inside: solid, wall };
    return tubView(await saveEdited(this.rows, this.rows.of(TubEntity), 'tub', id, version, { name, body }));
  }

  async remove(id: string): Promise<void> {
    await this.rows.of(TubEntity).delete({ id });
  }
}
