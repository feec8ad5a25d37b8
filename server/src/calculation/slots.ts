/** Lets so many pieces of work run at once, and so many wait for their turn, each so long (ms). */
export class Slots {
  private running = 0;
  private readonly waiting: (() => void)[] = [];

  constructor(
    private readonly most: number,
    private readonly mostWaiting: number,
    private readonly patience: number,
  ) {}

  /** Runs `work` when a slot is free. `full` makes the error where too many wait already. */
  async run<T>(work: () => Promise<T>, full: () => Error): Promise<T> {
    if (this.running >= this.most) {
      if (this.waiting.length >= this.mostWaiting) throw full();
      await this.turn(full);
    } else this.running++;
    try {
      return await work();
    } finally {
      const next = this.waiting.shift();
      if (next) next();
      else this.running--;
    }
  }

  private turn(full: () => Error): Promise<void> {
    return new Promise((resolve, reject) => {
      const go = () => {
        clearTimeout(timer);
        resolve();
      };
      const timer = setTimeout(() => {
        this.waiting.splice(this.waiting.indexOf(go), 1);
        reject(full());
      }, this.patience);
      this.waiting.push(go);
    });
  }
}
