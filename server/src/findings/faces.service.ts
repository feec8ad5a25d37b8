import { Injectable } from '@nestjs/common';
import type { CountedFace } from '@dewpot/contract';
import { WorkshopContext } from '../db/workshop-context.js';

/** So many of the latest faces can be put beside each other. */
const MOST_FACES = 200;

const FACES = `select c.id as "castId", c.code, c.mould_name as mould, c.mix_name as mix,
    (e.event ->> 'at')::float8 as at, (e.event ->> 'grade')::int as grade, e.event -> 'counted' as counted,
    p.id as picture, p.width, p.height
  from cast_pictures p
    join cast_events e on e.workshop_id = $1 and e.id = p.event_id
    join casts c on c.workshop_id = $1 and c.id = p.cast_id
  where p.workshop_id = $1 and e.event ->> 'type' = 'bubbles' and e.event ? 'counted'
    and not exists (
      select 1 from cast_events v where v.workshop_id = $1 and v.cast_id = e.cast_id
        and v.event ->> 'type' = 'voided' and v.event ->> 'event' = e.id::text
    )
  order by e.event -> 'at' desc, p.id limit ${MOST_FACES}`;

interface FaceRow extends Omit<CountedFace, 'picture' | 'share' | 'per100' | 'patch' | 'across'> {
  readonly counted: Pick<CountedFace, 'share' | 'per100' | 'patch' | 'across'>;
  readonly picture: string;
  readonly width: number;
  readonly height: number;
}

/** Faces whose voids were counted, with the photos that they were counted on. */
@Injectable()
export class FacesService {
  constructor(private readonly rows: WorkshopContext) {}

  /** The latest faces first; one whose count was taken back is none. */
  async all(): Promise<CountedFace[]> {
    const found = await this.rows.transaction(() => this.rows.manager.query<FaceRow[]>(FACES, [this.rows.workshopId]));
    return found.map(({ counted, picture: id, width, height, ...face }) => ({
      ...face,
      ...counted,
      picture: { id, width, height },
    }));
  }
}
