import { HOUR, SECOND } from '@dewpot/core/units';
import { Injectable } from '@nestjs/common';
import { DataSource } from 'typeorm';
import { CalculationPool } from '../calculation/calculation-pool.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { Rounds } from '../jobs/rounds.js';

/** Draws the smaller sizes of photos that came without: with an archive, or before there were such sizes. Until then the large one stands for them. */
@Injectable()
export class PhotoSizes {
  constructor(
    private readonly source: DataSource,
    private readonly rows: WorkshopContext,
    private readonly pool: CalculationPool,
    rounds: Rounds,
  ) {
    rounds.add('Photos wait for their smaller sizes', { first: 20 * SECOND, every: HOUR / 6 }, () => this.draw());
  }

  /** Draws what is missing, one photo after another; answers how many there were. */
  async draw(): Promise<number> {
    let drawn = 0;
    for (;;) {
      const missing: { workshop_id: string; sum: Buffer }[] = await this.source.query('select * from photos_undrawn()');
      if (missing.length === 0) return drawn;
      for (const { workshop_id, sum } of missing) await this.drawOne(workshop_id, sum);
      drawn += missing.length;
    }
  }

  private async drawOne(workshopId: string, sum: Buffer): Promise<void> {
    const find = () => this.rows.manager.query<{ large: Buffer }[]>('select large from photos where sum = $1', [sum]);
    const [photo] = await this.rows.inWorkshop(workshopId, find);
    if (!photo) return;
    const { medium, small } = await this.pool.run('shrink', photo.large);
    await this.rows.inWorkshop(workshopId, () =>
      this.rows.manager.query(
        `update photos set medium = $2, small = $3, bytes = octet_length(large) + octet_length($2::bytea) + octet_length($3::bytea) where sum = $1`,
        [sum, Buffer.from(medium), Buffer.from(small)],
      ),
    );
  }
}
