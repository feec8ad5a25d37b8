import { msg } from '@dewpot/core/units';
import { Injectable } from '@nestjs/common';
import type { Registration, SessionView, WorkshopSettings } from '@dewpot/contract';
import type { Speaker } from '@dewpot/locales';
import { v7 as uuid } from 'uuid';
import { furnishPlaces } from '../ambient/index.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import type { CurrentUser } from '../http/request.js';
import { fillWithHandbook } from '../materials/index.js';
import { RefitsService } from '../sealing/index.js';
import { WorkshopEntity } from './accounts.entities.js';
import type { Membership } from './accounts.service.js';
import { goneBy } from './removal-time.js';
import { AddressTaken, People } from './people.service.js';

/** What a new workshop starts with. */
export const firstSettings = {
  units: 'metric',
  currency: 'EUR',
  liftLimit: 25000,
  bucket: 14000,
  scaleStep: 1,
} as const;

/** Workshops: how one is founded, and its settings. */
@Injectable()
export class WorkshopsService {
  constructor(
    private readonly people: People,
    private readonly rows: WorkshopContext,
    private readonly refits: RefitsService,
  ) {}

  /**
   * Founds a workshop with its owner, who then signs in. An address that is somebody's already is not told: everything is done as
   * for a new one and then undone, so that the answer is the same and takes as long. What it starts with is in the owner's language.
   */
  async register({ workshop, ...given }: Registration, say: Speaker): Promise<void> {
    const owner = await this.people.hashed(given);
    try {
      await this.foundFor(workshop, say, () => this.people.join({ ...owner, language: say.reader.language }, 'owner'));
    } catch (error) {
      if (!(error instanceof AddressTaken)) throw error;
    }
  }

  /** Founds a workshop with what it starts with; its owner joins it. */
  async foundFor(name: string, say: Speaker, join: () => Promise<string>): Promise<Pick<Membership, 'workshop_id' | 'person_id'>> {
    const workshop_id = uuid();
    return this.rows.inWorkshop(workshop_id, async () => {
      await this.found({ ...firstSettings, name });
      await fillWithHandbook(this.rows, say);
      await furnishPlaces(this.rows, say);
      return { workshop_id, person_id: await join() };
    });
  } // prettier-ignore

  /** Makes the workshop at hand, in its transaction. */
  async found(settings: WorkshopEntity['settings'], demo = false): Promise<void> {
    await this.rows.of(WorkshopEntity).insert({ id: this.rows.workshopId, settings, demo });
  }

  /** Who is signed in, and where. */
  async sessionOf({ personId }: CurrentUser): Promise<SessionView> {
    const { id, name, role, language } = await this.people.reading(personId);
    const { id: workshopId, settings, demo, version, removedAt } = await this.rows.workshop();
    return {
      person: { id, name, role, ...(language && { language }) },
      workshop: { id: workshopId, demo, version, ...settings, ...goneBy(removedAt) },
    };
  }

  /** Saves the settings. @throws ProblemError 409 where they were changed since. */
  async change({ version, ...settings }: WorkshopSettings): Promise<void> {
    await this.rows.lockWorkshop();
    const { version: current, settings: before } = await this.rows.workshop();
    if (version !== undefined && version !== current) {
      throw new ProblemError(409, msg('server.changedMeanwhile'), {
        detail: msg('server.settingsChanged'),
      });
    }
    await this.rows.changeWorkshop({ settings });
    if (before.drying !== settings.drying) await this.refits.ask();
  }
}
