import { Injectable } from '@nestjs/common';
import { HOUR, MOST_HOURS, msg } from '@dewpot/core/units';
import type { AmbientReading } from '@dewpot/core/ambient';
import type { PlaceAmbient, PlaceInput, PlaceView, ReadingsTaken } from '@dewpot/contract';
import { saveEdited } from '../db/save-edited.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import { PlaceEntity } from './ambient.entities.js';
import { PlaceSeriesCache } from './place-series-cache.js';
import { ReadingsService } from './readings.service.js';

const MOST_PLACES = 40;
const TEN_YEARS = MOST_HOURS * HOUR;

/** Places in which casts stand. */
@Injectable()
export class PlacesService {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly series: PlaceSeriesCache,
    private readonly readings: ReadingsService,
  ) {}

  async list(now: number): Promise<PlaceView[]> {
    const views: PlaceView[] = [];
    for (const place of await this.series.places()) views.push(await this.series.view(place, now));
    return views;
  }

  /** @throws ProblemError 409 where there are enough places or the version is stale, 422 where its source is the demo's alone. */
  async save(id: string, { version, name, ...body }: PlaceInput, now: number): Promise<PlaceView> {
    if (version === 0 && (await this.countLocked()) >= MOST_PLACES)
      throw new ProblemError(409, msg('server.enoughPlaces'), {
        detail: msg('server.mostPlaces', { mostPlaces: MOST_PLACES }),
      });
    if (body.source === 'forecast' || body.simulated) await this.mustBeDemo();
    const fields = { name: name.trim(), body };
    this.rows.forget('places');
    const saved = await saveEdited(this.rows, this.rows.of(PlaceEntity), 'place', id, version, fields);
    return this.series.view(saved, now);
  }

  /** @throws ProblemError 409 where it is the last one. */
  async remove(id: string): Promise<void> {
    if ((await this.countLocked()) <= 1)
      throw new ProblemError(409, msg('server.lastPlace'), {
        detail: msg('server.lastPlaceStays'),
      });
    await this.readings.forget(id);
    await this.rows.of(PlaceEntity).delete({ id });
  }

  /** The air of a place between two times, ms. @throws ProblemError 404, 422 where it is too long ago. */
  async ambientOf(id: string, from: number, to: number, now: number): Promise<PlaceAmbient> {
    if (from < now - TEN_YEARS)
      throw ProblemError.refused(
        msg('server.tooLongAgo'),
        'from',
        from,
        msg('server.overTenYears'),
        msg('server.askForLess'),
      );
    return this.series.ambient(await this.one(id), from, to, now);
  }

  /** Takes readings in. @throws ProblemError 404, 409 where the place takes none. */
  async take(id: string, readings: readonly AmbientReading[], now: number): Promise<ReadingsTaken> {
    const place = await this.readings.hold(id);
    if (!place) throw ProblemError.notFound('place');
    const { simulated, source } = place.body;
    if (simulated || !['logger', 'files'].includes(source))
      throw new ProblemError(409, msg('server.noReadings'), {
        detail: msg('server.otherSource'),
      });
    return this.readings.take(place, readings, now);
  }

  /** Weather that nobody measured is the demo’s alone. */
  private async mustBeDemo(): Promise<void> {
    if ((await this.rows.workshop()).demo) return;
    const remedy = msg('server.typeConditions');
    const message = msg('server.demoWeather');
    throw ProblemError.refused(msg('server.notInWorkshop'), 'source', null, message, remedy);
  }

  /** How many places there are; two requests at once count one after the other. */
  private async countLocked(): Promise<number> {
    await this.rows.lockWorkshop();
    this.rows.forget('places');
    return this.rows.of(PlaceEntity).count();
  }

  private async one(id: string): Promise<PlaceEntity> {
    const place = await this.rows.of(PlaceEntity).findOneBy({ id });
    if (!place) throw ProblemError.notFound('place');
    return place;
  }
}
