/** A part of the API's own document, as far as requests are made from it. */
interface Schema {
  readonly $ref?: string;
  readonly type?: string;
  readonly enum?: readonly unknown[];
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly items?: Schema;
  readonly minimum?: number;
  readonly maximum?: number;
  readonly minLength?: number;
  readonly maxLength?: number;
  readonly minItems?: number;
  readonly maxItems?: number;
  readonly format?: string;
  readonly allOf?: readonly Schema[];
  readonly oneOf?: readonly Schema[];
}

interface Operation {
  readonly parameters?: readonly { readonly name: string; readonly in: string }[];
  readonly requestBody?: {
    readonly content: Readonly<
      Record<
        string,
        { readonly schema: Schema; readonly examples?: { readonly example?: { readonly value: unknown } } }
      >
    >;
  };
}

/** The API's own document. */
export interface ApiDocument {
  readonly paths: Readonly<Record<string, Readonly<Record<string, Operation>>>>;
  readonly components: { readonly schemas: Readonly<Record<string, Schema>> };
}

/** A request as it is sent. */
export interface FuzzRequest {
  readonly method: 'get' | 'put' | 'post' | 'delete';
  readonly path: string;
  readonly body?: string;
}

/** The same numbers for the same seed, 0 to 1. */
export function dice(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}

/** What no field expects. */
const hostile: readonly unknown[] = [
  null, true, '', 'x', [], [[]], [[[]]], {}, { a: 1 }, 0, -0, -1, 0.1, 1e-300, 1e9, 1e300, -1e300, 9007199254740993,
  '\u0000', '\ud800', 'e\u0301', '__proto__', 'constructor', '../../etc/passwd', "'; drop table casts; --", '9'.repeat(300),
  '2026-13-45', 'NaN', '00000000-0000-0000-0000-000000000000', { __proto__: null, length: 5 }, Array.from({ length: 50 }, () => ({})),
]; // prettier-ignore

/** Endings of sessions and of whatever else the rest of a run goes by. */
const spared = (method: string, path: string) =>
  (method === 'delete' && /session|people/.test(path)) || /passphrase|\/stream$|^\/api\/(workshops|session)/.test(path);

/** Makes requests out of the API's own document: some right, most with something wrong in them. */
export class Fuzzer {
  private readonly operations: {
    readonly method: FuzzRequest['method'];
    readonly path: string;
    readonly of: Operation;
  }[];

  constructor(
    private readonly document: ApiDocument,
    private readonly random: () => number,
    private readonly keys: readonly string[],
  ) {
    this.operations = Object.entries(document.paths).flatMap(([path, methods]) =>
      Object.entries(methods)
        .filter(([method]) => !spared(method, path))
        .map(([method, of]) => ({ method: method as FuzzRequest['method'], path, of })),
    );
  }

  next(): FuzzRequest {
    const { method, path, of } = this.pick(this.operations);
    const filled = path.replace(/\{\w+\}/g, () => encodeURIComponent(this.key()));
    const query = (of.parameters ?? []).filter(({ in: where }) => where === 'query');
    const asked = query
      .filter(() => this.random() < 0.7)
      .map(({ name }) => `${name}=${encodeURIComponent(this.word())}`);
    const sent = { method, path: asked.length > 0 ? `${filled}?${asked.join('&')}` : filled };
    return method === 'put' || method === 'post' ? { ...sent, body: this.body(of) } : sent;
  }

  private body({ requestBody }: Operation): string {
    if (this.random() < 0.02) return this.pick(['', '{', '[]', 'null', '"x"', '['.repeat(3000), '{"a":'.repeat(2000)]);
    const content = requestBody?.content['application/json'];
    const example = content?.examples?.example?.value;
    const made = example && this.random() < 0.6 ? structuredClone(example) : this.value(content?.schema ?? {}, 0);
    const wounds = this.random() < 0.25 ? 0 : 1 + Math.floor(this.random() * 3);
    let hurt: unknown = made;
    for (let i = 0; i < wounds; i++) hurt = this.hurt(hurt);
    return JSON.stringify(hurt) ?? '';
  }

  /** A value that a schema allows, by and large. */
  private value(schema: Schema, depth: number): unknown {
    const { $ref, allOf, oneOf, enum: offered, type } = schema;
    if ($ref) return this.value(this.document.components.schemas[$ref.split('/').pop()!] ?? {}, depth + 1);
    if (allOf?.[0]) return this.value(allOf[0], depth);
    if (oneOf) return this.value(this.pick(oneOf), depth);
    if (offered) return this.pick(offered);
    if (type === 'array') {
      const most = Math.min(schema.maxItems ?? 3, (schema.minItems ?? 0) + (depth > 3 ? 0 : 3));
      const length = Math.max(schema.minItems ?? 0, Math.floor(this.random() * (most + 1)));
      return Array.from({ length }, () => this.value(schema.items ?? {}, depth + 1));
    }
    if (type === 'object' || schema.properties)
      return Object.fromEntries(
        Object.entries(schema.properties ?? {})
          .filter(() => depth < 8 && this.random() < 0.8)
          .map(([name, one]) => [name, this.value(one, depth + 1)]),
      );
    if (type === 'boolean') return this.random() < 0.5;
    if (type === 'string') return this.text(schema);
    return this.number(schema);
  }

  private text({ format, minLength = 0, maxLength = 20 }: Schema): string {
    if (format === 'uuid') return this.key();
    if (format === 'email') return 'nobody@example.org';
    return 'abcdefghij klmnopqrst'
      .repeat(5)
      .slice(0, Math.max(minLength, Math.floor(this.random() * Math.min(100, maxLength))));
  }

  private number({ type, minimum = -1e6, maximum = 1e6 }: Schema): number {
    const ends = this.random();
    const at =
      ends < 0.15 ? minimum : ends < 0.3 ? maximum : minimum + this.random() * Math.min(maximum - minimum, 2000);
    return type === 'integer' ? Math.round(at) : at;
  }

  /** The same with one thing in it replaced, left out or added. */
  private hurt(value: unknown): unknown {
    if (typeof value !== 'object' || value === null || this.random() < 0.08) return this.pick(hostile);
    if (Array.isArray(value)) {
      if (value.length === 0) return [this.pick(hostile)];
      const at = Math.floor(this.random() * value.length);
      return value.map((one: unknown, i) => (i === at ? this.hurt(one) : one));
    }
    const entries = Object.entries(value);
    if (entries.length === 0 || this.random() < 0.05) return { ...value, unheardOf: this.pick(hostile) };
    const [name, one] = this.pick(entries);
    if (this.random() < 0.1) return Object.fromEntries(entries.filter(([other]) => other !== name));
    return { ...value, [name]: this.hurt(one) };
  }

  private key(): string {
    return this.random() < 0.85 ? this.pick(this.keys) : this.word();
  }

  private word(): string {
    const one = this.pick(hostile);
    return (typeof one === 'string' ? one : JSON.stringify(one)).replace(/\p{Surrogate}/gu, '?');
  }

  private pick<T>(of: readonly T[]): T {
    return of[Math.floor(this.random() * of.length)]!;
  }
}
