import { Injectable } from '@nestjs/common';
import { InputError, msg } from '@dewpot/core/units';
import type { ScaleEventInput, ScaleReading, ScaleReadingInput, ScaleState, ScaleView } from '@dewpot/contract';
import { clock } from '../clock.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { EMPTY_SCALE, scaleAfter, scalePosted, scaleReading, scaleView } from './bench-scale.js';
import { BenchScaleEntity } from './devices.entities.js';

/** A posted reading may lie so far ahead of our clock, ms. */
const AHEAD = 60_000;

/** The scale of the workshop at hand. */
@Injectable()
export class BenchScaleService {
  constructor(private readonly rows: WorkshopContext) {}

  async view(): Promise<ScaleView> {
    return scaleView(await this.state());
  }

  /** What the scale shows at a time, ms; nothing while its link is down. */
  async readingAt(now: number): Promise<ScaleReading | undefined> {
    return scaleReading(await this.state(), now);
  }

  /** Pours on and off the simulated scale, tares it, or cuts its link for a while. */
  async act(given: ScaleEventInput): Promise<ScaleView> {
    return scaleView(await this.change((state) => scaleAfter(state, given, clock.now())));
  }

  /** Takes a reading of a real scale. @throws InputError where it lies in the future. */
  async take(given: ScaleReadingInput): Promise<void> {
    const now = clock.now();
    const { at = now } = given;
    if (at > now + AHEAD)
      throw new InputError([
        { field: 'at', value: at, message: msg('server.readingInFuture'), remedy: msg('server.bridgeClock') },
      ]);
    await this.change((state) => scalePosted(state, given, now));
  }

  private async state(): Promise<ScaleState> {
    const row = await this.rows.of(BenchScaleEntity).findOneBy({ id: this.rows.workshopId });
    return row?.state ?? EMPTY_SCALE;
  }

  private async change(to: (state: ScaleState) => ScaleState): Promise<ScaleState> {
    // The scale is the workshop's own: its key is the workshop's. What is done to it at once is done one after the other.
    const { workshopId } = this.rows;
    await this.rows.lockWorkshop();
    const state = to(await this.state());
    await this.rows.of(BenchScaleEntity).save({ id: workshopId, workshopId, state });
    return state;
  }
}
