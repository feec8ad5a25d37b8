import { Injectable } from '@nestjs/common';
import { handbookLiftOut, learnLiftOut, liftOutCame, usualCare, type LearnedLiftOut } from '@dewpot/core';
import type { CastSnapshot, LiftOutSeen, LiftOutView, LiftOutWaysInput } from '@dewpot/contract';
import { In } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { CastEntity, LiftOutLessonEntity } from '../db/entities.js';
import { Rows } from '../db/rows.js';

/** The mould and mix of a cast, by their keys; undefined for casts of before mixes had one. */
interface Pair {
  readonly mouldId: string;
  readonly snapshot: CastSnapshot;
}

const firstWays: LiftOutWaysInput = { care: usualCare, off: false };
/** So many of the latest lift-outs teach; those before them have been outlived by the mould's wear. */
const MOST_RECORDS = 60;

const keyOf = (mouldId: string, mixId: string) => `${mouldId}:${mixId}`;

/** The earliest safe lift-out of each mould with each mix, learned from those before. */
@Injectable()
export class LiftOutsService {
  constructor(private readonly rows: Rows) {}

  /** What the lift-outs of these casts' moulds and mixes taught, by mould and mix. */
  async lessons(casts: readonly Pair[]): Promise<(cast: Pair) => LiftOutLessonEntity | undefined> {
    const mouldIds = [...new Set(casts.map(({ mouldId }) => mouldId))];
    const found =
      mouldIds.length === 0 ? [] : await this.rows.of(LiftOutLessonEntity).findBy({ mouldId: In(mouldIds) });
    const byKey = new Map(found.map((lesson) => [keyOf(lesson.mouldId, lesson.mixId), lesson]));
    return ({ mouldId, snapshot: { mixId } }) => (mixId ? byKey.get(keyOf(mouldId, mixId)) : undefined);
  }

  /** The age at which each of these casts is to be lifted out, equivalent hours; reckoned once for like ones. */
  async ages(casts: readonly Pair[]): Promise<(cast: Pair) => number> {
    const lessonOf = await this.lessons(casts);
    const known = new Map<string, number>();
    return (cast) => {
      const { setting, piece, mixId, lightweight } = cast.snapshot;
      const key = [cast.mouldId, mixId, setting, piece, lightweight].join(' ');
      const age = known.get(key) ?? liftOutAge(cast.snapshot, lessonOf(cast));
      known.set(key, age);
      return age;
    };
  }

  async view(cast: Pair): Promise<LiftOutView> {
    const lesson = (await this.lessons([cast]))(cast);
    const handbook = handbookOf(cast.snapshot);
    const records = countedOf(lesson);
    return { handbook, learned: learnedOf(cast.snapshot, lesson), records, ways: lesson?.ways ?? firstWays };
  }

  /** Gathers anew what the lift-outs of a cast's mould and mix were. */
  async learn({ mouldId, snapshot: { mixId } }: Pair): Promise<void> {
    if (!mixId) return;
    // The lesson is locked before the casts are read: of several at once, the last one sees them all.
    await this.locked(mouldId, mixId);
    const casts = await this.rows
      .of(CastEntity)
      .createQueryBuilder('c')
      .where('c.mould_id = :mouldId', { mouldId })
      .andWhere(`c.snapshot ->> 'mixId' = :mixId`, { mixId })
      .andWhere(`c.projection -> 'life' ? 'liftedAt'`)
      .orderBy(`(c.projection -> 'life' ->> 'liftedAt')::float8`, 'DESC')
      .limit(MOST_RECORDS)
      .getMany();
    const records = casts.reverse().flatMap(({ code, projection: { life } }): LiftOutSeen[] => {
      const { liftedAt: at, liftOut } = life;
      const age = liftOut?.age;
      return at === undefined || age === undefined || age <= 0 ? [] : [{ code, at, age, came: liftOutCame(life) }];
    });
    await this.keep(mouldId, mixId, { records });
  }

  /** Keeps what a caster chose for a mould with a mix. */
  async choose(mouldId: string, mixId: string, ways: LiftOutWaysInput): Promise<void> {
    await this.keep(mouldId, mixId, { ways: { ...ways } });
  }

  private async keep(mouldId: string, mixId: string, change: Partial<Pick<LiftOutLessonEntity, 'ways' | 'records'>>) {
    const lessons = this.rows.of(LiftOutLessonEntity);
    const { workshopId } = this.rows;
    const fresh = { id: uuid(), workshopId, mouldId, mixId, ways: firstWays, records: [] as LiftOutSeen[] };
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
      .of(LiftOutLessonEntity)
      .findOneOrFail({ where: { mouldId, mixId }, select: { id: true }, lock: { mode: 'pessimistic_write' } });
  }
}

/** Lift-outs that still count: those since the caster last began anew. */
function countedOf(lesson: LiftOutLessonEntity | undefined): readonly LiftOutSeen[] {
  const since = lesson?.ways.since ?? 0;
  return (lesson?.records ?? []).filter(({ at }) => at >= since);
}

const handbookOf = ({ setting, piece, lightweight }: CastSnapshot) => handbookLiftOut(setting, piece, lightweight);

function learnedOf(snapshot: CastSnapshot, lesson: LiftOutLessonEntity | undefined): LearnedLiftOut {
  const { care, triedAgainAt } = lesson?.ways ?? firstWays;
  return learnLiftOut(handbookOf(snapshot), countedOf(lesson), {
    care,
    ...(triedAgainAt !== undefined && { triedAgainAt }),
  });
}

/** The age at which a cast is to be lifted out, equivalent hours: learned, or the handbook's where that is off or nothing was learned. */
function liftOutAge(snapshot: CastSnapshot, lesson: LiftOutLessonEntity | undefined): number {
  const handbook = handbookOf(snapshot);
  if (!lesson || lesson.ways.off || countedOf(lesson).length === 0) return handbook;
  return learnedOf(snapshot, lesson).age.value;
}
