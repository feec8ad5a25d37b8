import { Injectable } from '@nestjs/common';
import {
  handbookDemouldAge,
  learnDemouldAge,
  usualCare,
  type DemouldSeen,
  type DemouldWays,
  type LearnedDemouldAge,
} from '@dewpot/core/curing';
import type { LearnedOfPair } from '@dewpot/core/calendar';
import type { PairDemoulds } from '@dewpot/core/findings';
import { demouldCame, type CastSnapshot } from '@dewpot/core/casts';
import type { DemouldView, DemouldWaysInput } from '@dewpot/contract';
import { In } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { CastEntity } from '../casts/casts.entities.js';
import { DemouldLessonEntity } from './curing.entities.js';
import { WorkshopContext } from '../db/workshop-context.js';

/** The mould and mix of a cast, by their keys; undefined for casts of before mixes had one. */
interface Pair {
  readonly mouldId: string;
  readonly snapshot: CastSnapshot;
}

const firstWays: DemouldWaysInput = { care: usualCare, off: false };
/** So many of the latest demouldings teach; those before them have been outlived by the mould's wear. */
const MOST_RECORDS = 60;

/** So many moulds with a mix are looked at together. */
const MOST_PAIRS = 500;

/** Each lesson with the latest cast that taught it, and the keys of all that did. */
const TAUGHT = `with found as (
    select l.mould_id, l.mix_id, c.code, c.id, c.poured_at
    from demould_lessons l
      cross join jsonb_array_elements(l.records) r
      join casts c on c.workshop_id = $1 and c.code = r ->> 'code'
    where l.workshop_id = $1
  ), pairs as (
    select mould_id, mix_id, jsonb_object_agg(code, id) as ids, (array_agg(id order by poured_at desc, id))[1] as latest
    from found group by 1, 2 order by 1, 2 limit ${MOST_PAIRS}
  )
  select p.mould_id as "mouldId", p.mix_id as "mixId", p.ids, c.snapshot
  from pairs p join casts c on c.workshop_id = $1 and c.id = p.latest`;

/** What was read of the lessons in a transaction. */
const LESSONS = 'demould lessons';

const keyOf = (mouldId: string, mixId: string) => `${mouldId}:${mixId}`;

/** The earliest safe demoulding of each mould with each mix, learned from those before. */
@Injectable()
export class DemouldsService {
  constructor(private readonly rows: WorkshopContext) {}

  /** What the demouldings of these casts' moulds and mixes taught, by mould and mix. */
  async lessons(casts: readonly Pair[]): Promise<(cast: Pair) => DemouldLessonEntity | undefined> {
    const mouldIds = [...new Set(casts.map(({ mouldId }) => mouldId))];
    const found = await this.ofMoulds(mouldIds);
    const byKey = new Map(found.map((lesson) => [keyOf(lesson.mouldId, lesson.mixId), lesson]));
    return ({ mouldId, snapshot: { mixId } }) => (mixId ? byKey.get(keyOf(mouldId, mixId)) : undefined);
  }

  /** The age at which each of these casts is to be demoulded, equivalent hours; calculated once for like ones. */
  async ages(casts: readonly Pair[]): Promise<(cast: Pair) => number> {
    const lessonOf = await this.lessons(casts);
    const known = new Map<string, number>();
    return (cast) => {
      const { binderClass, piece, mixId, lightweight } = cast.snapshot;
      const key = [cast.mouldId, mixId, binderClass, piece, lightweight].join(' ');
      const age = known.get(key) ?? demouldAge(cast.snapshot, lessonOf(cast));
      known.set(key, age);
      return age;
    };
  }

  /** What the demouldings of these moulds were, by their mixes; nothing where what they taught is not to be used. */
  async recordsOf(mouldIds: readonly string[]): Promise<Pick<LearnedOfPair, 'mouldId' | 'mixId' | 'demoulds'>[]> {
    const found = await this.ofMoulds([...new Set(mouldIds)]);
    return found.flatMap((lesson) => {
      const records = countedOf(lesson);
      const { mouldId, mixId, ways } = lesson;
      return ways.off || records.length === 0 ? [] : [{ mouldId, mixId, demoulds: { records, ways: waysOf(lesson) } }];
    });
  }

  /** What the demouldings of moulds taught, read once in a transaction. */
  private async ofMoulds(mouldIds: readonly string[]): Promise<DemouldLessonEntity[]> {
    const known = await this.rows.once(LESSONS, () => Promise.resolve(new Map<string, Promise<DemouldLessonEntity[]>>())); // prettier-ignore
    const lacking = mouldIds.filter((id) => !known.has(id));
    if (lacking.length > 0) {
      const found = this.rows.of(DemouldLessonEntity).findBy({ mouldId: In(lacking) });
      for (const id of lacking)
        known.set(
          id,
          found.then((all) => all.filter(({ mouldId }) => mouldId === id)),
        );
    }
    return (await Promise.all(mouldIds.map((id) => known.get(id) ?? []))).flat();
  }

  /** Every demoulding that teaches, or did until it was forgotten. */
  async taught(): Promise<PairDemoulds[]> {
    const found: { mouldId: string; mixId: string; snapshot: CastSnapshot; ids: Record<string, string> }[] =
      await this.rows.manager.query(TAUGHT, [this.rows.workshopId]);
    const lessonOf = await this.lessons(found);
    return found.flatMap((pair) => {
      const lesson = lessonOf(pair);
      if (!lesson) return [];
      const { mouldName: mould, mixName: mix } = pair.snapshot;
      const records = lesson.records.flatMap((record) => {
        const id = pair.ids[record.code];
        return id === undefined ? [] : [{ ...record, id }];
      });
      const { mouldId, mixId, ways } = lesson;
      return [{ mouldId, mixId, mould, mix, handbook: handbookOf(pair.snapshot), records, ways }];
    });
  }

  /** Lets demouldings count from `since` on, ms, and what is older be forgotten; all of them again where it is left out. */
  async countFrom(mouldId: string, mixId: string, since?: number): Promise<void> {
    await this.locked(mouldId, mixId);
    const lesson = await this.rows.of(DemouldLessonEntity).findOneByOrFail({ mouldId, mixId });
    const { since: _, triedAgainAt: __, ...ways } = lesson.ways;
    await this.keep(mouldId, mixId, { ways: { ...ways, ...(since !== undefined && { since }) } });
  }

  async view(cast: Pair): Promise<DemouldView> {
    const lesson = (await this.lessons([cast]))(cast);
    const handbook = handbookOf(cast.snapshot);
    const records = countedOf(lesson);
    return { handbook, learned: learnedOf(cast.snapshot, lesson), records, ways: lesson?.ways ?? firstWays };
  }

  /** Gathers again what the demouldings of a cast's mould and mix were. */
  async learn({ mouldId, snapshot: { mixId } }: Pair): Promise<void> {
    if (!mixId) return;
    // The lesson is locked before the casts are read: of several at once, the last one sees them all.
    await this.locked(mouldId, mixId);
    const casts = await this.rows
      .of(CastEntity)
      .createQueryBuilder('c')
      .where('c.mould_id = :mouldId', { mouldId })
      .andWhere(`c.snapshot ->> 'mixId' = :mixId`, { mixId })
      .andWhere(`c.projection -> 'life' ? 'demouldedAt'`)
      .orderBy(`(c.projection -> 'life' ->> 'demouldedAt')::float8`, 'DESC')
      .limit(MOST_RECORDS)
      .getMany();
    const records = casts.reverse().flatMap(({ code, projection: { life } }): DemouldSeen[] => {
      const { demouldedAt: at, demould } = life;
      const age = demould?.age;
      return at === undefined || age === undefined || age <= 0 ? [] : [{ code, at, age, came: demouldCame(life) }];
    });
    await this.keep(mouldId, mixId, { records });
  }

  /** Keeps what a caster chose for a mould with a mix. */
  async choose(mouldId: string, mixId: string, ways: DemouldWaysInput): Promise<void> {
    await this.keep(mouldId, mixId, { ways: { ...ways } });
  }

  private async keep(mouldId: string, mixId: string, change: Partial<Pick<DemouldLessonEntity, 'ways' | 'records'>>) {
    this.rows.forget(LESSONS);
    const lessons = this.rows.of(DemouldLessonEntity);
    const { workshopId } = this.rows;
    const fresh = { id: uuid(), workshopId, mouldId, mixId, ways: firstWays, records: [] as DemouldSeen[] };
    await lessons
      .createQueryBuilder()
      .insert()
      .values(fresh as object)
      .orIgnore()
      .execute();
    if (Object.keys(change).length > 0) await lessons.update({ mouldId, mixId }, change as object);
  }

  private async locked(mouldId: string, mixId: string): Promise<void> {
    await this.keep(mouldId, mixId, {});
    await this.rows
      .of(DemouldLessonEntity)
      .findOneOrFail({ where: { mouldId, mixId }, select: { id: true }, lock: { mode: 'for_no_key_update' } });
  }
}

/** Demouldings that still count: those since the caster last began again. */
function countedOf(lesson: DemouldLessonEntity | undefined): readonly DemouldSeen[] {
  const since = lesson?.ways.since ?? 0;
  return (lesson?.records ?? []).filter(({ at }) => at >= since);
}

const handbookOf = ({ binderClass, piece, lightweight }: CastSnapshot) =>
  handbookDemouldAge(binderClass, piece, lightweight);

function waysOf(lesson: DemouldLessonEntity | undefined): DemouldWays {
  const { care, triedAgainAt } = lesson?.ways ?? firstWays;
  return { care, ...(triedAgainAt !== undefined && { triedAgainAt }) };
}

const learnedOf = (snapshot: CastSnapshot, lesson: DemouldLessonEntity | undefined): LearnedDemouldAge =>
  learnDemouldAge(handbookOf(snapshot), countedOf(lesson), waysOf(lesson));

/** The age at which a cast is to be demoulded, equivalent hours: learned, or the handbook's where that is off or nothing was learned. */
function demouldAge(snapshot: CastSnapshot, lesson: DemouldLessonEntity | undefined): number {
  const handbook = handbookOf(snapshot);
  if (!lesson || lesson.ways.off || countedOf(lesson).length === 0) return handbook;
  return learnedOf(snapshot, lesson).age.value;
}
