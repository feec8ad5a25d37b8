import { msg, type Message } from '@dewpot/core/units';
import { Injectable } from '@nestjs/common';
import { defined } from '@dewpot/core/math';
import { strengthShare, type BinderClass } from '@dewpot/core/binders';
import {
  calculateArticle,
  expectedTogether,
  joinedFaces,
  joinRemarks,
  type ArticleFigures,
} from '@dewpot/core/assembly';
import { lifeOf, massKnown, type CastEvent, type CastSnapshot } from '@dewpot/core/casts';
import type { ArticleInput, CastDetail } from '@dewpot/contract';
import { In } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { CastEntity, CastEventEntity } from '../casts/casts.entities.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import { CastsService, CastRecordsService, DuesService, listedBy, lockPours } from '../casts/index.js';
import { DrynessService } from '../sealing/index.js';

const USUAL = 18;
/** The binder that takes longest decides for the whole. */
const slowestFirst: readonly BinderClass[] = [
  'lime',
  'portland',
  'high-early',
  'patch',
  'fast-setting',
  'underlayment',
  'gypsum',
];

const codeOf = (codes: readonly string[]) => (codes.length > 3 ? `${codes[0]}+${codes.length - 1}` : codes.join('+'));

const refusal = (field: string, value: unknown, message: Message, remedy: Message) =>
  ProblemError.refused(msg('server.notJoined'), field, value, message, remedy);

/** Parts that stand on one another have to touch. @throws ProblemError */
function checkTouch({ joints }: ArticleFigures): void {
  const apart = joints.find(({ area }) => area < 1);
  if (!apart) return;
  const [lower, upper] = apart.between;
  throw refusal('parts', apart.area, msg('server.partsApart', { upper, lower }), msg('server.turnOver'));
}

/** Casts joined into one thing, which is then followed like a cast. */
@Injectable()
export class ArticlesService {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly casts: CastsService,
    private readonly records: CastRecordsService,
    private readonly dryness: DrynessService,
    private readonly dues: DuesService,
  ) {}

  /** Joins casts into an article. Asked twice with one key it is one. @throws ProblemError where a part cannot be joined. */
  async join(input: ArticleInput, personId: string | null, now: number): Promise<CastDetail> {
    if (await this.casts.any([input.id])) return this.casts.detail(input.id);
    const parts = await this.partsOf(input);
    await this.checkStates(input, parts, now);
    const figures = await this.figures(input, parts, now);
    checkTouch(figures);
    const { clamp, cure } = figures;
    const { at, bond, note } = input;
    const assembled: CastEvent = {
      id: uuid(),
      at,
      type: 'assembled',
      bond,
      clamp: clamp.value,
      cure: cure.value,
      ...(note && { note }),
    };
    const row = this.rowOf(input, parts, figures);
    const life = lifeOf([assembled]);
    const dry = await this.dryness.summary({ ...row, projection: { life } }, at);
    const { workshopId } = this.rows;
    await this.rows
      .of(CastEntity)
      .insert({ ...row, workshopId, ...listedBy(row.snapshot, life), projection: { life, dry } as object });
    await this.rows
      .of(CastEventEntity)
      .insert({ id: assembled.id, workshopId, castId: input.id, personId, event: assembled as object });
    for (const part of parts)
      await this.records.recordOwn(
        part.id,
        { id: uuid(), at, type: 'joined', article: input.id, code: row.code },
        personId,
        now,
      );
    return this.casts.detail(input.id);
  }

  /** Takes an article apart again, as long as it was only clamped: its parts are what they were. @throws ProblemError 409 */
  async takeApart(id: string, personId: string | null, now: number): Promise<void> {
    await lockPours(this.rows, [id]);
    const row = await this.rows.of(CastEntity).findOne({ where: { id }, lock: { mode: 'for_no_key_update' } });
    if (!row?.snapshot.article) throw ProblemError.notFound('article');
    const { life } = row.projection;
    if (row.stage !== 'setting' || life.weighings.length > 0 || life.coats.length > 0)
      throw new ProblemError(409, msg('server.oneThing'), {
        detail: msg('server.articleChanged'),
      });
    for (const { castId } of row.snapshot.article.parts) {
      const events = await this.rows.of(CastEventEntity).findBy({ castId });
      const joined = events.find(({ event }) => event.type === 'joined' && event.article === id);
      if (joined)
        await this.records.recordOwn(castId, { id: uuid(), at: now, type: 'voided', event: joined.id }, personId, now);
    }
    await this.rows.of(CastEntity).delete({ id });
  }

  private async partsOf({ parts }: ArticleInput): Promise<CastEntity[]> {
    const ids = parts.map(({ castId }) => castId);
    if (new Set(ids).size < ids.length)
      throw refusal('parts', ids.length, msg('server.castTwice'), msg('server.castOnce'));
    await lockPours(this.rows, ids);
    const found = await this.rows
      .of(CastEntity)
      .find({ where: { id: In(ids) }, order: { id: 'ASC' }, lock: { mode: 'for_no_key_update' } });
    const missing = ids.find((id) => found.every((one) => one.id !== id));
    if (missing) throw refusal('parts', missing, msg('server.castMissing'), msg('server.chooseCasts'));
    return ids.map((id) => defined(found.find((one) => one.id === id)));
  }

  private async checkStates({ bond, at }: ArticleInput, parts: readonly CastEntity[], now: number): Promise<void> {
    const states = [];
    for (const part of parts) {
      const age = await this.dues.ageAt(part, Math.min(at, now), now);
      const strength = strengthShare(part.snapshot.binderClass, age);
      states.push({ code: part.code, stage: part.stage, strength, dry: part.projection.dry.dryEnough });
    }
    const refused = joinRemarks(states, bond).find(({ severity }) => severity === 'refuse');
    if (refused) throw refusal('parts', bond, refused.told, refused.remedy);
    if (bond === 'hot glue') throw refusal('bond', bond, msg('server.hotGlue'), msg('server.otherBond'));
  }

  private async figures(input: ArticleInput, parts: readonly CastEntity[], now: number): Promise<ArticleFigures> {
    const { settings } = await this.rows.workshop();
    const ambient = await this.dryness.ambientAt(defined(parts[0]), input.at, now);
    return calculateArticle({
      arrangement: input.arrangement,
      bond: input.bond,
      uses: input.uses,
      temperature: Math.min(40, Math.max(-5, ambient?.temperature ?? USUAL)),
      liftLimit: settings.liftLimit,
      parts: parts.map(({ code, snapshot, projection: { life }, expected }, i) => ({
        code,
        name: snapshot.mouldName,
        shape: snapshot.shape,
        over: defined(input.parts[i]).over,
        mass: massKnown(life, expected),
      })),
    });
  }

  private rowOf(input: ArticleInput, parts: readonly CastEntity[], { bond, joints, size }: ArticleFigures) {
    const first = defined(parts[0]);
    const binderClass = defined(slowestFirst.find((one) => parts.some(({ snapshot }) => snapshot.binderClass === one)));
    const strengths = parts.flatMap(({ snapshot }) => snapshot.strength ?? []);
    const stays = first.projection.life.stays ?? [];
    const { place, placeId } = stays[stays.length - 1] ?? first.snapshot;
    const snapshot: CastSnapshot = {
      ...first.snapshot,
      mouldName: input.name,
      mixName: [...new Set(parts.map((part) => part.snapshot.mixName))].join(', '),
      binderClass,
      lightweight: parts.some((part) => part.snapshot.lightweight ?? false),
      ...(strengths.length > 0 && { strength: Math.min(...strengths) }),
      ...(place !== undefined && { place }),
      ...(placeId !== undefined && { placeId }),
      article: {
        arrangement: input.arrangement,
        bond: input.bond,
        uses: input.uses,
        joinedFaces: joinedFaces(joints),
        size: { length: size.length.value, width: size.width.value, height: size.height.value },
        parts: parts.map((part, i) => ({
          castId: part.id,
          code: part.code,
          name: part.snapshot.mouldName,
          shape: part.snapshot.shape,
          colour: part.snapshot.colour,
          ...(part.snapshot.faceColouring && { faceColouring: part.snapshot.faceColouring }),
          over: defined(input.parts[i]).over,
        })),
      },
    };
    return {
      id: input.id,
      pourId: first.pourId,
      mouldId: first.mouldId,
      code: codeOf(parts.map(({ code }) => code)),
      expected: expectedTogether(
        parts.map(({ expected }) => expected),
        input.bond,
        bond.value,
      ),
      snapshot,
    };
  }
}
