import { Injectable } from '@nestjs/common';
import { DAY, HOUR } from '@dewpot/core/units';
import { thinned } from '@dewpot/core/ambient';
import { roomOf } from '@dewpot/core/calendar';
import type { CalendarPlace, LearnedOfPair, OpenLine, StandingPiece } from '@dewpot/core/calendar';
import { usualMoistCuring } from '@dewpot/core/curing';
import { learnedTau } from '@dewpot/core/sealing';
import type { CalendarFacts, CastView } from '@dewpot/contract';
import { PlaceSeriesCache, staysOf, UsualMonthsService } from '../ambient/index.js';
import type { PlaceEntity } from '../ambient/ambient.entities.js';
import { CastsService } from '../casts/index.js';
import { zoneOf } from '../config.js';
import { DemouldsService } from '../curing/index.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { DryingLessonsService } from '../sealing/index.js';
import { OrdersService } from './orders.service.js';
import { WeeksService } from './weeks.service.js';

/** Air of at least so long ago goes with a plan, and of no longer than this, ms. */
const LEAST_PAST = 2 * DAY;
const MOST_PAST = 120 * DAY;
/** A cast whose drying cannot be foreseen yet is taken to keep its place so long from then on, ms. */
const STANDS = 14 * DAY;

/** Where a cast stands at last. */
const placeIdOf = (cast: CastView, places: readonly PlaceEntity[]) =>
  staysOf({ snapshot: cast.snapshot, projection: { life: cast.life } }, places).at(-1)?.place.id;

/** What a workshop's calendar is planned from. */
@Injectable()
export class CalendarFactsService {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly orders: OrdersService,
    private readonly weeks: WeeksService,
    private readonly casts: CastsService,
    private readonly series: PlaceSeriesCache,
    private readonly months: UsualMonthsService,
    private readonly demoulds: DemouldsService,
    private readonly dryings: DryingLessonsService,
  ) {}

  async facts(personId: string, now: number): Promise<CalendarFacts> {
    const { settings } = await this.rows.workshop();
    const lines = await this.orders.openLines(now);
    const places = await this.series.places();
    const told = await this.weeks.told();
    return {
      lines,
      weeks: told.length > 0 ? told : [await this.weeks.own(personId)],
      weekKnown: told.length > 0,
      zone: zoneOf(settings),
      places: await this.placesOf(places, lines, zoneOf(settings), now),
      standing: this.standing(await this.casts.shelf(), places, now),
      learned: await this.learned(lines),
      moistCuring: settings.moistCuring ?? usualMoistCuring,
      ...(settings.session && { setup: settings.session }),
      now,
    };
  }

  /** The air of each place: since the first piece that is waited for was poured, forecast, and as its months usually are. */
  private async placesOf(
    all: readonly PlaceEntity[],
    lines: readonly OpenLine[],
    zone: string,
    now: number,
  ): Promise<CalendarPlace[]> {
    // prettier-ignore
    const first = Math.min(now - LEAST_PAST, ...lines.flatMap(({ poured }) => poured.map(({ at }) => at)));
    const from = Math.max(first, now - MOST_PAST);
    const found: CalendarPlace[] = [];
    for (const place of all) {
      const { recorded, ahead } = await this.series.series(place, from, now);
      const last = recorded[recorded.length - 1]?.at ?? -Infinity;
      const known = [...recorded.filter(({ at }) => at >= from - HOUR), ...ahead.filter(({ at }) => at > last)];
      const months = await this.months.of(place, zone, now);
      const { id, name, body } = place;
      found.push({
        id,
        name,
        air: { known: thinned(known, HOUR), months },
        ...(body.room && { room: roomOf(body.room) }),
      });
    }
    return found;
  }

  /** Casts that are in the way: moulds that are full, and pieces that cure or dry. */
  private standing(casts: readonly CastView[], places: readonly PlaceEntity[], now: number): StandingPiece[] {
    return casts.flatMap((cast): StandingPiece[] => {
      if (!['setting', 'curing', 'drying'].includes(cast.stage)) return [];
      const due = (task: string) => cast.dues.find((one) => one.task === task)?.good;
      const placeId = placeIdOf(cast, places);
      const freeAt = cast.stage === 'setting' ? Math.max(now, due('demould') ?? now) : undefined;
      const until = cast.dry.opensAt ?? (due('end-moist-curing') ?? freeAt ?? now) + STANDS;
      return [{ mouldId: cast.mouldId, until, ...(freeAt !== undefined && { freeAt }), ...(placeId && { placeId }) }];
    });
  }

  /** What was learned of the moulds and mixes of lines: their demouldings, and how their pieces dried. */
  private async learned(lines: readonly OpenLine[]): Promise<LearnedOfPair[]> {
    const mouldIds = [...new Set(lines.map(({ mouldId }) => mouldId))];
    const records = await this.demoulds.recordsOf(mouldIds);
    const dryings = await this.dryings.counting(mouldIds);
    const pairs = new Map(lines.map(({ mouldId, mixId }) => [`${mouldId} ${mixId}`, { mouldId, mixId }]));
    return [...pairs.values()].map(({ mouldId, mixId }) => {
      const own = <T extends { mouldId: string; mixId: string }>(all: readonly T[]) =>
        all.find((one) => one.mouldId === mouldId && one.mixId === mixId);
      const [demoulds, dried] = [own(records)?.demoulds, own(dryings)?.records ?? []];
      const tau = learnedTau(dried);
      return {
        mouldId,
        mixId,
        ...(demoulds && { demoulds }),
        ...(tau !== undefined && { drying: { tau, pieces: dried.length } }),
      };
    });
  }
}
