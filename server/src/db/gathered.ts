/** Questions that are under way at once; what is asked meanwhile goes together in the next one. */
const MOST_UNDER_WAY = 2;
/** Keys that one question asks for at most. */
const MOST_AT_ONCE = 200;

interface Waiting<Found> {
  readonly answer: Promise<Found | undefined>;
  readonly tell: (answer: Promise<Found | undefined>) => void;
}

/** Asks the database at once for many things that are wanted one by one. Nothing is answered that was read before it was asked for. */
export class Gathered<Found> {
  private readonly waiting = new Map<string, Waiting<Found>>();
  private underWay = 0;

  /** `askAll` answers what was found by its key. */
  constructor(private readonly askAll: (keys: readonly string[]) => Promise<ReadonlyMap<string, Found>>) {}

  /** What is found by a key; undefined where nothing is. @throws whatever the question that it goes with throws */
  ask(key: string): Promise<Found | undefined> {
    const known = this.waiting.get(key);
    if (known) return known.answer;
    let tell: Waiting<Found>['tell'] = () => undefined;
    const answer = new Promise<Found | undefined>((resolve) => (tell = resolve));
    this.waiting.set(key, { answer, tell });
    this.send();
    return answer;
  }

  private send(): void {
    if (this.underWay >= MOST_UNDER_WAY || this.waiting.size === 0) return;
    const asked = [...this.waiting].slice(0, MOST_AT_ONCE);
    for (const [key] of asked) this.waiting.delete(key);
    this.underWay++;
    const found = this.askAll(asked.map(([key]) => key)).finally(() => {
      this.underWay--;
      this.send();
    });
    for (const [key, { tell }] of asked) tell(found.then((all) => all.get(key)));
  }
}
