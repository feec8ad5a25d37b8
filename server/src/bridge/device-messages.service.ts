import { Injectable } from '@nestjs/common';
import { ColourReadingInput, ReadingsInput, ScaleReadingInput, type Role } from '@dewpot/contract';
import { msg } from '@dewpot/core/units';
import { isUUID } from 'class-validator';
import { admitted } from '../accounts/admission.js';
import { Sessions, type FoundSession } from '../accounts/sessions.js';
import { PlacesService } from '../ambient/places.service.js';
import { inReadingTurn } from '../ambient/reading-turns.js';
import { Latest } from '../calculation/latest.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { BenchScaleService } from '../devices/bench-scale.service.js';
import { ProblemError, type Thing } from '../http/problem-error.js';
import type { Turn } from '../http/request.js';
import { validation } from '../http/validation.js';
import { TintsService } from '../tints/index.js';

/** A scale that says more than this is heard this often, ms. */
const LEAST_BETWEEN = 50;

/** What devices publish, by topic; each with who may send it at the least, as the same routes over HTTP have it. */
interface Kind {
  readonly topic: RegExp;
  readonly of: Thing;
  readonly body: new () => object;
  readonly least: Role;
  /** Whether it waits for its turn. */
  readonly turn?: Turn;
  readonly take: (id: string, body: object, now: number) => Promise<unknown>;
}

/** What devices send by way of a broker: who sent it is known by a token, as over HTTP, and what may be sent is the same. */
@Injectable()
export class DeviceMessages {
  /** When each scale was heard last: of the latest few. */
  private readonly heard = new Latest<number>(1_000);
  private readonly kinds: readonly Kind[];

  constructor(
    private readonly sessions: Sessions,
    private readonly rows: WorkshopContext,
    places: PlacesService,
    scale: BenchScaleService,
    tints: TintsService,
  ) {
    this.kinds = [
      {
        ...{ topic: /^dewpot\/scale$/, of: 'place', body: ScaleReadingInput, least: 'helper' },
        take: (_, body) => scale.take(body as ScaleReadingInput),
      },
      {
        ...{ topic: /^dewpot\/places\/([^/]+)$/, of: 'place', body: ReadingsInput, least: 'caster' },
        turn: inReadingTurn,
        take: (id, body, now) => places.take(id, (body as ReadingsInput).readings, now),
      },
      {
        ...{ topic: /^dewpot\/swatches\/([^/]+)$/, of: 'chip', body: ColourReadingInput, least: 'caster' },
        take: (id, body, now) => tints.keepReading(id, body as ColourReadingInput, now),
      },
    ];
  }

  /** Takes what was published to a topic. @throws ProblemError, InputError as the same request over HTTP has it */
  async take(topic: string, payload: string, now: number): Promise<void> {
    const kind = this.kinds.find((one) => one.topic.test(topic));
    if (!kind) throw new ProblemError(404, msg('server.notHere'), { detail: msg('server.noSuchTopic', { topic }) });
    const { token, ...given } = objectIn(payload);
    const session = await this.sessionOf(token, kind.least);
    if (kind.body === ScaleReadingInput && this.tooOften(session, now)) return;
    const [, id = ''] = kind.topic.exec(topic) ?? [];
    if (id !== '' && !isUUID(id)) throw ProblemError.notFound(kind.of);
    const body = (await validation.transform(given, { type: 'body', metatype: kind.body })) as object;
    const work = () => this.rows.inWorkshop(session.workshopId, () => kind.take(id, body, now));
    await (kind.turn ? kind.turn(work) : work());
  }

  private async sessionOf(token: unknown, least: Role): Promise<FoundSession> {
    const found = typeof token === 'string' ? await this.sessions.find(token) : undefined;
    const session = admitted(found, { kind: 'script', least });
    if (session.stale) await this.sessions.renew(session, String(token));
    return session;
  }

  private tooOften({ sessionId }: FoundSession, now: number): boolean {
    if (now - (this.heard.get(sessionId) ?? 0) < LEAST_BETWEEN) return true;
    this.heard.keep(sessionId, now);
    return false;
  }
}

function objectIn(payload: string): Record<string, unknown> {
  try {
    const read: unknown = JSON.parse(payload);
    if (typeof read === 'object' && read !== null && !Array.isArray(read)) return read as Record<string, unknown>;
  } catch {
    // Told below, as anything else that is no object.
  }
  throw ProblemError.refused(msg('server.invalid'), 'payload', null, msg('server.noJsonObject'), msg('server.sendObject')); // prettier-ignore
}
