import { Injectable } from '@nestjs/common';
import { defined } from '@dewpot/core/math';
import { DAY, HOUR } from '@dewpot/core/units';
import { thinned } from '@dewpot/core/ambient';
import { ambientAtTime, type CastEvent } from '@dewpot/core/casts';
import { usualMoistCuring } from '@dewpot/core/curing';
import { keyedRecord, type FindingRecord, type KeptRecord } from '@dewpot/core/findings';
import { releaseCalled, releasesFor } from '@dewpot/core/moulds';
import { In, IsNull, Not } from 'typeorm';
import { clock } from '../clock.js';
import { PersonEntity } from '../accounts/accounts.entities.js';
import { PlaceSeriesCache, staysOf } from '../ambient/index.js';
import { CalculationPool } from '../calculation/calculation-pool.js';
import { Latest } from '../calculation/latest.js';
import { CastEntity, CastEventEntity } from '../casts/casts.entities.js';
import { lockPours } from '../casts/index.js';
import { DemouldsService } from '../curing/index.js';
import { storedValue } from '../db/stored.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { KeptWaysService } from './kept-ways.service.js';
import { MouldEntity } from '../moulds/moulds.entities.js';
import { PourEntity } from '../pours/pours.entities.js';
import type { CastToGather, GatheredAir, PourToGather, ToGather } from '../threads/gather-findings.js';
import type { CrossingRecords } from '../threads/known-records.js';

/** So many records are gathered together, and so many of these rounds before an answer. */
const TOGETHER = 100;
const MOST_ROUNDS = 4;
/** The latest casts that findings look at. */
const MOST_RECORDS = 5_000;
/** The records of so many workshops are kept as text, some megabytes each. */
const MOST_TEXTS = 4;

/** The records with their keys before them. Put together as text: as jsonb the database would take each of them apart first. */
const RECORDS = `select '[' || coalesce(string_agg(
    '{"id":"' || id || '","code":' || to_json(code) || ',"mouldId":"' || mould_id || '","at":' || poured_at || ',' || substr(finding::text, 2),
    ',' order by poured_at desc, id), '') || ']' as text
  from (select id, code, mould_id, poured_at, finding from casts where workshop_id = $1 and finding is not null
    order by poured_at desc, id limit ${MOST_RECORDS}) as latest`;

/** The air of a cast's first weeks is looked at, ms. */
const LOOKED_AT = 35 * DAY;

/** Everything that findings know, and how many casts are still to be gathered. */
export interface Gathered {
  readonly records: readonly FindingRecord[];
  readonly left: number;
}

/** What each cast stood under: gathered from its record when somebody asks, and kept until something happens to it. */
@Injectable()
export class FindingRecordsService {
  private readonly texts = new Latest<CrossingRecords>(MOST_TEXTS);

  constructor(
    private readonly rows: WorkshopContext,
    private readonly climates: PlaceSeriesCache,
    private readonly demoulds: DemouldsService,
    private readonly keptWays: KeptWaysService,
    private readonly calculations: CalculationPool,
  ) {}

  /** The records of a workshop's latest casts. What has changed is gathered first. */
  async all(): Promise<Gathered> {
    const left = await this.gather();
    return { records: await this.kept(), left };
  }

  /** Gathers what has changed, some hundreds of casts at the most; answers how many are left. */
  async gather(): Promise<number> {
    let left = 0;
    for (let round = 0; round < MOST_ROUNDS; round++) {
      left = await this.gatherSome();
      if (left === 0) break;
    }
    return left;
  }

  /** Gathers some of the records that have changed; answers how many there are beyond them. */
  private async gatherSome(): Promise<number> {
    const found = await this.rows.transaction(() => this.toGather());
    if (found.ids.length === 0) return 0;
    const records = await this.calculations.run('gather', found.batch);
    await this.rows.transaction(() => this.keep(found, records));
    return found.beyond;
  }

  private async toGather() {
    const where = { stage: Not('setting' as const), finding: IsNull() };
    const [casts, count] = await this.rows.of(CastEntity).findAndCount({ where, order: { pouredAt: 'DESC', id: 'ASC' }, take: TOGETHER });
    const castIds = casts.map(({ id }) => id);
    const told = casts.length === 0 ? [] : await this.rows.of(CastEventEntity).find({ where: { castId: In(castIds) }, order: { recordedAt: 'ASC', id: 'ASC' } });
    const events = new Map<string, CastEvent[]>(castIds.map((id) => [id, []]));
    for (const { castId, event } of told) events.get(castId)?.push(event);
    const eventsOf = (id: string) => defined(events.get(id));
    return {
      ids: castIds,
      counts: castIds.map((id) => eventsOf(id).length),
      beyond: count - casts.length,
      batch: await this.batchOf(casts, eventsOf),
    };
  } // prettier-ignore

  /** Casts with the pours, the air and the moulds that they have in common. */
  private async batchOf(casts: readonly CastEntity[], eventsOf: (id: string) => readonly CastEvent[]): Promise<ToGather> {
    const { settings } = await this.rows.workshop();
    const airs: Record<string, GatheredAir> = {};
    const [cycles, wantsRelease, age] = [await this.cyclesOf(casts), await this.wantsRelease(casts), await this.demoulds.ages(casts)];
    const places = casts.length > 0 ? await this.climates.places() : [];
    // Loaded once from the first of them on, not again for each that is older.
    const earliest = Math.min(...casts.map(({ pouredAt }) => pouredAt));
    const given: CastToGather[] = [];
    for (const cast of casts) {
      const { id, mouldId, pourId, snapshot, expected, projection: { life } } = cast;
      const stays: { from: number; air: string }[] = [];
      for (const { from, place } of staysOf(cast, places)) {
        const air = `${pourId} ${place.id}`;
        airs[air] ??= await this.airOf(place, life.pouredAt, earliest);
        stays.push({ from, air });
      }
      const release = releaseCalled(snapshot.release);
      given.push({ mouldId, snapshot, life, events: eventsOf(id), expected, stays, proposed: age(cast), pour: pourId, cycles: cycles.get(id) ?? 0, noRelease: wantsRelease(mouldId) && (release === undefined || release === 'none') });
    }
    return { casts: given, airs, pours: await this.poursOf(casts), moistCuring: settings.moistCuring ?? usualMoistCuring };
  } // prettier-ignore

  /** The air of a place in a cast's first weeks; what held before them holds at their beginning, and what was last at their end. */
  private async airOf(
    place: Parameters<PlaceSeriesCache['series']>[0],
    poured: number,
    earliest: number,
  ): Promise<GatheredAir> {
    const [now, from] = [clock.now(), poured - HOUR];
    const until = Math.min(now, poured + LOOKED_AT);
    const { recorded, basis } = await this.climates.series(place, earliest - HOUR, now);
    const at = (time: number) => [ambientAtTime(recorded, time)].flatMap((one) => (one ? [{ ...one, at: time }] : []));
    const within = recorded.filter((one) => one.at > from && one.at < until);
    return { guessed: basis === 'guess', readings: [...at(from), ...thinned(within, HOUR / 2), ...at(until)] };
  }

  private async poursOf(casts: readonly CastEntity[]): Promise<Record<string, PourToGather>> {
    const ids = [...new Set(casts.map(({ pourId }) => pourId))];
    const pours = ids.length === 0 ? [] : await this.rows.of(PourEntity).findBy({ id: In(ids) });
    const people = await this.rows.of(PersonEntity).find({ select: { id: true, name: true } });
    return Object.fromEntries(
      pours.map(({ id, input, parts, lessons, finishedBy }): [string, PourToGather] => {
        const person = people.find((one) => one.id === finishedBy)?.name;
        return [id, { input, parts, lessons: lessons ?? [], ...(person && { person }) }];
      }),
    );
  }

  /** How many casts each one's copy of its mould gave before it. */
  private async cyclesOf(casts: readonly CastEntity[]): Promise<Map<string, number>> {
    const moulds = [...new Set(casts.map(({ mouldId }) => mouldId))];
    if (moulds.length === 0) return new Map();
    const found: { id: string; before: string }[] = await this.rows.manager.query(
      `select id, row_number() over (partition by mould_id, snapshot ->> 'copyMark' order by poured_at, id) - 1 as before
         from casts where workshop_id = $1 and mould_id = any($2)`,
      [this.rows.workshopId, moulds],
    );
    return new Map(found.map(({ id, before }) => [id, Number(before)]));
  }

  /** Whether nothing can be cast in a mould that nothing was put on. */
  private async wantsRelease(casts: readonly CastEntity[]): Promise<(mouldId: string) => boolean> {
    const ids = [...new Set(casts.map(({ mouldId }) => mouldId))];
    const moulds = ids.length === 0 ? [] : await this.rows.of(MouldEntity).findBy({ id: In(ids) });
    return (mouldId) => {
      const material = moulds.find(({ id }) => id === mouldId)?.body.material;
      return material !== undefined && !releasesFor(material).includes('none');
    };
  }

  /** Keeps what was gathered, unless something happened to a cast meanwhile: then it is gathered again. */
  private async keep({ ids, counts }: { readonly ids: readonly string[]; readonly counts: readonly number[] }, records: readonly KeptRecord[]): Promise<void> {
    // What happens to a cast waits for its pour: with these held, what is counted now stands.
    await lockPours(this.rows, ids);
    const values = ids.map((id, i) => ({ id, count: defined(counts[i]), finding: storedValue(defined(records[i])) }));
    await this.rows.manager.query(
      `update casts c set finding = g.finding from jsonb_to_recordset($2::jsonb) as g(id uuid, count int, finding jsonb)
         where c.workshop_id = $1 and c.id = g.id
           and (select count(*) from cast_events e where e.workshop_id = $1 and e.cast_id = g.id) = g.count`,
      [this.rows.workshopId, JSON.stringify(values)],
    );
    await this.keptWays.changed();
  } // prettier-ignore

  /** The records of some casts, as they were gathered. */
  async of(where: { readonly id: string } | { readonly pourId: string }): Promise<FindingRecord[]> {
    const select = { id: true, workshopId: true, code: true, mouldId: true, pouredAt: true, finding: true } as const;
    const found = await this.rows.transaction(() => this.rows.of(CastEntity).find({ where, select, order: { id: 'ASC' } }));
    return found.flatMap(({ finding, pouredAt: at, ...keys }) => (finding ? [keyedRecord({ ...keys, at }, finding)] : []));
  } // prettier-ignore

  /** The records of a workshop's latest casts, as they were gathered. */
  private async kept(): Promise<FindingRecord[]> {
    return JSON.parse(await this.text()) as FindingRecord[];
  }

  /** All records as they cross to a thread, and of how many casts; kept here for the workshops that asked last, until one of them changes. */
  async crossing(): Promise<{ readonly all: CrossingRecords; readonly casts: number }> {
    const { workshopId } = this.rows;
    const { revision, casts } = await this.rows.transaction(() => this.keptWays.state());
    const key = `${workshopId} ${revision} ${casts}`;
    const last = this.texts.get(workshopId);
    const all = this.texts.keep(workshopId, last?.key === key ? last : { key, text: await this.text() });
    return { all, casts: Math.min(casts, MOST_RECORDS) };
  }

  /** The records as one text: the database writes it faster than rows are made into objects. */
  private async text(): Promise<string> {
    const [row] = await this.rows.transaction(() => this.rows.manager.query<{ text: string }[]>(RECORDS, [this.rows.workshopId]));
    return defined(row).text;
  } // prettier-ignore
}
