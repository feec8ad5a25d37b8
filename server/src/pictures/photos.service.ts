import { Inject, Injectable } from '@nestjs/common';
import type { PhotoRoom, PhotoSize } from '@dewpot/contract';
import { CONFIG, type ServerConfig } from '../config.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import { mostPhotos, photosFull } from './photo-room.js';
import type { Redrawn } from './redraw.js';

/** Tables whose rows show photos. */
type Showing = 'cast_pictures' | 'mould_pictures';

const ROOM = 'select count(*)::int as photos, coalesce(sum(bytes), 0)::float8 as bytes from photos';

/** Two that send the same keep it once. That it was kept before is written too, so that nobody takes it away meanwhile. */
const KEPT = `insert into photos (workshop_id, sum, large, medium, small, bytes)
  values ($1, sha256($2), $2, $3, $4, octet_length($2::bytea) + octet_length($3::bytea) + octet_length($4::bytea))
  on conflict (workshop_id, sum) do update set bytes = photos.bytes returning sum`;

/** How long a browser may show a photo without asking again: what a row shows never changes. Only the browser that asked keeps it. */
export const PHOTO_CACHED = 'private, max-age=604800, immutable';

/** Photos of a workshop: each is kept once, in three sizes, and all of them together have so much room. */
@Injectable()
export class PhotosService {
  constructor(
    private readonly rows: WorkshopContext,
    @Inject(CONFIG) private readonly config: ServerConfig,
  ) {}

  /** What the photos of the workshop at hand take, and what they may. */
  async room(): Promise<PhotoRoom> {
    const [taken] = await this.rows.manager.query<Omit<PhotoRoom, 'most'>[]>(ROOM);
    return { photos: 0, bytes: 0, ...taken, most: mostPhotos(this.config) };
  }

  /** Keeps a photo; answers its checksum. @throws ProblemError 409 where there is no room for it */
  async keep({ large, medium, small }: Redrawn): Promise<Buffer> {
    // Two at once are measured one after the other.
    await this.rows.manager.query(`select pg_advisory_xact_lock(hashtextextended('photos ' || $1::text, 0))`, [this.rows.workshopId]); // prettier-ignore
    const { bytes, most } = await this.room();
    if (bytes + large.length + medium.length + small.length > most) throw photosFull(bytes, most);
    const sizes = [large, medium, small].map((size) => Buffer.from(size));
    const [kept] = await this.rows.manager.query<{ sum: Buffer }[]>(KEPT, [this.rows.workshopId, ...sizes]);
    if (!kept) throw new Error('A photo was kept without its checksum.');
    return kept.sum;
  }

  /** The photo that a row shows, as WebP: the next larger size where that one was not drawn yet. @throws ProblemError 404 */
  async image(showing: Showing, id: string, size: PhotoSize): Promise<Buffer> {
    const sizes = { small: 'f.small, f.medium, f.large', medium: 'f.medium, f.large', large: 'f.large' };
    const [found] = await this.rows.manager.query<{ image: Buffer }[]>(
      `select coalesce(${sizes[size]}) as image from ${showing} p join photos f on f.workshop_id = p.workshop_id and f.sum = p.photo
       where p.workshop_id = $1 and p.id = $2`,
      [this.rows.workshopId, id],
    );
    if (!found) throw ProblemError.notFound('picture');
    return found.image;
  }
}
