/** Values by their keys, of which those that were used last are kept: no more than `most`. */
export class Latest<Value> {
  private readonly values = new Map<string, Value>();

  constructor(private readonly most: number) {}

  get(key: string): Value | undefined {
    return this.values.get(key);
  }

  /** Keeps a value as the one that was used last; answers it. */
  keep(key: string, value: Value): Value {
    this.values.delete(key);
    this.values.set(key, value);
    for (const oldest of this.values.keys()) {
      if (this.values.size <= this.most) break;
      this.values.delete(oldest);
    }
    return value;
  }
}
