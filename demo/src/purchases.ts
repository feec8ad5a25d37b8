import { defined } from '@dewpot/core/math';
import { DAY } from '@dewpot/core/units';
import { MaterialsService, type createServer } from '@dewpot/server';
import { v7 as uuid } from 'uuid';
import { lots } from './workshop.js';

type Server = Awaited<ReturnType<typeof createServer>>;

/** They buy again after so many days, ms; what is left of a bag by then has gone hard. */
const EVERY = 45 * DAY;
/** Bags of each material that they buy at once. */
const BAGS = 6;

/** What the casters bought through the season: the same bags as they have today, at the same price. */
export class Purchases {
  private bought: string[] = [];
  private at = 0;

  constructor(
    private readonly app: Server,
    private readonly materials: Readonly<Record<string, string>>,
  ) {}

  /** Buys for a pour at `at`, ms, where the last purchase is old. */
  async before(at: number): Promise<void> {
    if (at - this.at < EVERY) return;
    await this.useUp();
    this.at = at;
    for (const [key, bag, , price] of lots.filter(([name], i) => lots.findIndex(([other]) => other === name) === i)) {
      const id = uuid();
      const mass = bag * 1000 * BAGS;
      await this.app.get(MaterialsService).saveLot(id, { materialId: defined(this.materials[key]), bought: mass, left: mass, price: price * BAGS, bags: BAGS, boughtAt: Math.round(at - DAY), version: 0 });
      this.bought.push(id);
    }
  }

  /** Nothing is left of what was bought so far. */
  async useUp(): Promise<void> {
    const service = this.app.get(MaterialsService);
    const { lots: kept } = await service.all();
    for (const { id, ...lot } of kept.filter((one) => this.bought.includes(one.id))) await service.saveLot(id, { ...lot, left: 0 });
    this.bought = [];
  }
} // prettier-ignore
