import { Injectable } from '@nestjs/common';
import { DAY, HOUR } from '@dewpot/core/units';
import { thinned, type AmbientReading } from '@dewpot/core/ambient';
import { GUESSED_AIR, type AmbientView, type PlaceAmbient, type PlaceView } from '@dewpot/contract';
import { PlaceEntity } from './ambient.entities.js';
import { Latest } from '../calculation/latest.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { issuedAt, loggerMemory, LOGS_EVERY } from '../devices/index.js';
import { placeSeries, type PlaceSeries } from './place-series.js';
import { ReadingsService } from './readings.service.js';

/** Places whose series are kept at hand; beyond them the one that was asked for longest ago is let go. */
const AT_HAND = 60;
/** How far back the simulated logger's memory reaches when it is read for the first time, ms. */
const MEMORY = 14 * DAY;
/** At least so much of the past is loaded, ms. */
const LEAST_PAST = 8 * DAY;
/** Readings that are told of a stretch at most. */
const MOST_TOLD = 700;

interface AtHand {
  readonly from: number;
  readonly late: number;
  readonly version: number;
  readonly latest: number | null;
  readonly issued: number;
  readonly readings: readonly AmbientReading[];
  readonly series: PlaceSeries;
}

/** A whole number out of a key: what is so of a logger is always so. */
const saltOf = (id: string) => [...id].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 9973, 7);

/** The air of places, kept at hand between requests and brought up to date by what came since. */
@Injectable()
export class PlaceSeriesCache {
  private readonly atHand = new Latest<AtHand>(AT_HAND);

  constructor(
    private readonly rows: WorkshopContext,
    private readonly readings: ReadingsService,
  ) {}

  /** Places in the order in which they were made; the first is where casts stand of which nothing else is known. */
  places(): Promise<PlaceEntity[]> {
    return this.rows.once('places', () => this.rows.of(PlaceEntity).find({ order: { createdAt: 'ASC', id: 'ASC' } }));
  }

  /** Reads out the simulated logger: what it has in its memory since it was read last. */
  async collect(place: PlaceEntity, now: number, memory = MEMORY): Promise<number | null> {
    const { id, body, latestReading: latest } = place;
    if (body.source !== 'logger' || !body.simulated) return latest;
    if (latest !== null && now - latest < LOGS_EVERY) return latest;
    // Whoever else reads it out just now does it for us too: nobody waits for it, unless nothing was read yet.
    const held = latest === null ? await this.readings.hold(id) : await this.readings.holdIfFree(id);
    if (!held) return latest;
    const found = loggerMemory(body.kind, saltOf(id), held.latestReading ?? now - memory, now);
    if (found.length > 0) await this.readings.take(held, found, now);
    place.latestReading = found[found.length - 1]?.at ?? held.latestReading;
    return place.latestReading;
  }

  /** The air of a place since `from`, ms. */
  async series(place: PlaceEntity, from: number, now: number): Promise<PlaceSeries> {
    const latest = await this.collect(place, now);
    const start = Math.min(from, now - LEAST_PAST);
    // An archive that was read into two workshops gives both the same place.
    const key = `${this.rows.workshopId} ${place.id}`;
    const known = this.atHand.get(key);
    const sound = known && known.late === place.late && known.version === place.version && known.from <= start;
    // A place without readings of its own is calculated from the clock, so its present must not grow old.
    const ownReadings = ['logger', 'files'].includes(place.body.source);
    const issued = ownReadings ? issuedAt(now) : Math.floor(now / LOGS_EVERY);
    if (sound && known.latest === latest && known.issued === issued) return this.atHand.keep(key, known).series;
    const before = sound ? known.readings : [];
    const since = await this.readings.since(place.id, sound ? known.from : start, before[before.length - 1]?.at);
    const readings = since.length > 0 ? [...before, ...since] : before;
    const loadedFrom = sound ? known.from : start;
    const series = placeSeries(place.body, readings, loadedFrom, now);
    const { late, version } = place;
    return this.atHand.keep(key, { from: loadedFrom, late, version, latest, issued, readings, series }).series;
  }

  async view(place: PlaceEntity, now: number): Promise<PlaceView> {
    const { recorded, basis } = await this.series(place, now, now);
    const last = recorded[recorded.length - 1];
    const { id, name, version, body } = place;
    // A logger that told nothing yet has no air to show; a place of which nobody said anything shows the guess.
    const shown = basis === 'guess' && body.source !== 'unknown' ? undefined : last;
    const read = shown && basis !== 'guess' ? { lastRead: shown.at } : {};
    return { id, name, version, basis, ...body, ...(shown && { now: shown }), ...read };
  }

  /** The air of a place between two times, thinned to what a screen can show. */
  async ambient(place: PlaceEntity, from: number, to: number, now: number): Promise<PlaceAmbient> {
    const { recorded, bridges, ahead, following } = await this.series(place, from, now);
    const within = recorded.filter(({ at }) => at >= from && at <= to);
    return {
      place: await this.view(place, now),
      recorded: thinned(within, Math.max(1, (to - from) / MOST_TOLD)),
      bridges: bridges.filter((bridge) => bridge.to >= from && bridge.from <= to),
      aside: await this.readings.aside(place.id),
      ahead,
      following,
    };
  }

  /** The air of the first place, now, behind and ahead. */
  async home(now: number): Promise<AmbientView> {
    const [first] = await this.places();
    const guess = { at: now, ...GUESSED_AIR };
    if (!first) return { station: '', basis: 'guess', now: guess, past: [], ahead: [] };
    const { recorded, ahead, basis } = await this.series(first, now - 60 * DAY, now);
    const past = thinned(recorded, 3 * HOUR);
    const last = recorded[recorded.length - 1] ?? guess;
    return { station: first.name, basis, now: { ...last, at: now }, past, ahead: [{ ...last, at: now }, ...ahead] };
  }
}
