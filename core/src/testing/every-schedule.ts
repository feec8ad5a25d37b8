import { DAY } from '../foundation/units/index.js';
import type { SchedulingProblem } from '../process/calendar/index.js';

/** A small problem by chance: a few slots, one or two moulds, a shelf, up to three lines. */
export function smallProblem(random: () => number): SchedulingProblem {
  const to = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
  const count = to(2, 4);
  const slots = Array.from({ length: count }, (_, i) => ({ at: i * DAY, minutes: to(60, 140) }));
  const moulds = ['a', 'b'].slice(0, to(1, 2));
  const lines = Array.from({ length: to(1, 3) }, (_, i) => ({
    key: `line ${i}`,
    mouldId: moulds[i % moulds.length] ?? '',
    mixKey: random() < 0.5 ? 'red' : 'green',
    count: to(1, 4),
    minutes: to(5, 20),
    volume: to(1, 5) * 1000,
    ...(random() < 0.3 && { lastSlot: to(0, count - 1) }),
    ...(random() < 0.2 && { notIn: [to(0, count - 1)] }),
  }));
  const mixes = ['red', 'green'].map((key) => ({ key, bucket: to(5, 25), capacity: 4000, mostPieces: to(1, 3) }));
  const free = (busy: number) => slots.map((_, i) => Math.min(count, i + busy));
  const copies = moulds.map((mould) => {
    const until = free(to(1, 3));
    return {
      kind: 'copies' as const,
      of: mould,
      room: to(1, 3),
      taken: slots.map((_, i) => (i === 0 ? to(0, 1) : 0)),
      uses: lines.flatMap(({ key, mouldId }) => (mouldId === mould ? [{ line: key, each: 1, until }] : [])),
    };
  });
  const shelf = { kind: 'shelf' as const, of: 'shed', room: 12, uses: lines.map(({ key }) => ({ line: key, each: to(1, 3), until: free(to(1, 4)) })) }; // prettier-ignore
  return { slots, lines, mixes, shared: [...copies, shelf], fixed: to(10, 40) };
}

/** The fewest buckets that pieces of one mix take, by trying every way to share them out. */
function leastBuckets(volumes: readonly number[], capacity: number, most: number): number {
  let least = Infinity;
  const share = (i: number, buckets: readonly (readonly number[])[], own: number): void => {
    if (buckets.length + own >= least) return;
    const volume = volumes[i];
    if (volume === undefined) {
      least = buckets.length + own;
      return;
    }
    if (volume > capacity) return share(i + 1, buckets, own + Math.ceil(volume / capacity));
    for (const [at, bucket] of buckets.entries())
      if (bucket.length < most && bucket.reduce((sum, one) => sum + one, volume) <= capacity)
        share(i + 1, buckets.with(at, [...bucket, volume]), own);
    share(i + 1, [...buckets, [volume]], own);
  };
  share(0, [], 0);
  return least;
}

/** What is best of a schedule, in its order. */
interface Worth {
  readonly late: number;
  readonly sessions: number;
  readonly last: number;
}

const isBetter = (a: Worth, b: Worth) =>
  a.late !== b.late ? a.late < b.late : a.sessions !== b.sessions ? a.sessions < b.sessions : a.last < b.last;

/** How long a session of so many pieces of each line takes with the fewest buckets, min. */
function minutesOf({ lines, mixes, fixed }: SchedulingProblem, counts: readonly number[]): number {
  const mixing = mixes.reduce((sum, { key, bucket, capacity, mostPieces }) => {
    const volumes = lines.flatMap(({ mixKey, volume }, i) =>
      mixKey === key ? Array.from({ length: counts[i] ?? 0 }, () => volume) : [],
    );
    return sum + bucket * leastBuckets(volumes, capacity, mostPieces);
  }, fixed);
  return lines.reduce((sum, line, i) => sum + line.minutes * (counts[i] ?? 0), mixing);
}

/** Whether what is shared does at a slot, with what each slot until then pours. */
const hasRoom = ({ lines, shared }: SchedulingProblem, poured: readonly (readonly number[])[], slot: number) =>
  shared.every(({ room, taken, uses }) => {
    const used = uses.reduce((sum, { line, each, until }) => {
      const at = lines.findIndex(({ key }) => key === line);
      return sum + poured.reduce((all, counts, i) => all + ((until[i] ?? 0) > slot ? each * (counts[at] ?? 0) : 0), 0);
    }, 0);
    return used <= Math.max(0, room - (taken?.[slot] ?? 0));
  });

/** The best there is of a small problem, by trying every way to spread the pieces; undefined where none does. */
export function bestOfAll(problem: SchedulingProblem): Worth | undefined {
  const { slots, lines } = problem;
  let best: Worth | undefined;
  const known = new Map<string, number>();
  const minutes = (counts: readonly number[]) => {
    const key = counts.join();
    const found = known.get(key) ?? minutesOf(problem, counts);
    known.set(key, found);
    return found;
  };
  const worth = (poured: readonly (readonly number[])[]): Worth => {
    const held = poured.flatMap((counts, at) => (counts.some((count) => count > 0) ? [at] : []));
    const late = poured.reduce(
      (sum, counts, at) =>
        sum + lines.reduce((all, { lastSlot = Infinity }, i) => all + (at > lastSlot ? (counts[i] ?? 0) : 0), 0),
      0,
    );
    return { late, sessions: held.length, last: held[held.length - 1] ?? 0 };
  };
  const spread = (slot: number, left: readonly number[], poured: readonly (readonly number[])[]): void => {
    const length = slots[slot]?.minutes;
    if (length === undefined) {
      const found = worth(poured);
      if (left.every((count) => count === 0) && (!best || isBetter(found, best))) best = found;
      return;
    }
    const choose = (i: number, counts: readonly number[]): void => {
      if (i < lines.length) {
        const most = lines[i]?.notIn?.includes(slot) ? 0 : (left[i] ?? 0);
        for (let count = most; count >= 0; count--) choose(i + 1, [...counts, count]);
        return;
      }
      if (counts.some((count) => count > 0) && minutes(counts) > length) return;
      const now = [...poured, counts];
      if (hasRoom(problem, now, slot)) spread(slot + 1, left.map((count, at) => count - (counts[at] ?? 0)), now); // prettier-ignore
    };
    choose(0, []);
  };
  spread(0, lines.map(({ count }) => count), []); // prettier-ignore
  return best;
}
