import type { PourItemInput } from '@dewpot/contract';

/** A line that a page asks to be ordered. */
export interface LineAsked {
  readonly mouldId: string;
  readonly mixId?: string;
  readonly tintId?: string;
  readonly count?: number;
  /** Of a part of an article: hours until its joint carries. */
  readonly joining?: number;
}

/** Lines that an address holds at most. */
const MOST = 30;
const KEYS = ['mould', 'mix', 'tint', 'count', 'joining'] as const;

/** Where the calendar takes these lines as a new order. */
export function orderAddress(lines: readonly LineAsked[]): string {
  const search = new URLSearchParams(
    lines.flatMap(({ mouldId, mixId, tintId, count, joining }) =>
      [mouldId, mixId, tintId, count, joining].map((value, i) => [KEYS[i] ?? '', String(value ?? '')]),
    ),
  );
  return `/calendar?${search.toString()}`;
}

/** The lines that an address asks for; none where it names no mould. */
export function linesAsked(search: URLSearchParams): LineAsked[] {
  const [moulds = [], ...rest] = KEYS.map((key) => search.getAll(key));
  return moulds.slice(0, MOST).flatMap((mouldId, i) => {
    const [mixId, tintId, count, joining] = rest.map((values) => values[i]);
    return mouldId
      ? [
          {
            mouldId,
            ...(mixId && { mixId }),
            ...(tintId && { tintId }),
            ...(Number(count) > 0 && { count: Number(count) }),
            ...(Number(joining) > 0 && { joining: Number(joining) }),
          },
        ]
      : [];
  });
}

/** What was poured of a mould, as a line to be ordered again; `mixId` is the pour's own. */
export function lineAgain({ mouldId, count, mixId, colouring }: PourItemInput, mixOfPour: string): LineAsked {
  const tintId = colouring?.kind === 'solid' ? colouring.parts[0]?.tint : undefined;
  return { mouldId, mixId: mixId ?? mixOfPour, count, ...(tintId && { tintId }) };
}

/** The same pieces as one line each: equal moulds, mixes and tints are counted together. */
export function countedLines(lines: readonly LineAsked[]): LineAsked[] {
  const counted = new Map<string, LineAsked>();
  for (const line of lines) {
    const key = [line.mouldId, line.mixId, line.tintId].join(' ');
    counted.set(key, { ...line, count: (line.count ?? 1) + (counted.get(key)?.count ?? 0) });
  }
  return [...counted.values()];
}
