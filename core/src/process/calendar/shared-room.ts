import { releases, pieceView, staysPut, type ReleaseName } from '../../geometry/moulds/index.js';
import { MINUTE } from '../../foundation/units/index.js';
import { calculateSheet, expectedOf } from '../pours/index.js';
import type { CalendarLine } from './calendar-problem.js';
import type { CalendarMould, CalendarSources, StandingPiece } from './calendar-sources.js';
import type { AtHand } from './chain.js';
import type { Shared, SharedUse } from './problem.js';
import type { SessionSlot } from './week.js';

/** What a mould wants all round while it cannot be moved, and a piece while it cures and dries, mm. Handbook 18. */
const ROUND_MOULD = 30;
const ROUND_PIECE = 15;
/** What release agents take to dry where nobody said which it is, min. */
const USUAL_RELEASE = 30;

/** What a piece takes of a place with so much round it, mm². */
function footprint({ shape }: Pick<CalendarMould, 'shape'>, round: number): number {
  const { width, depth } = pieceView(shape);
  return (width + 2 * round) * (depth + 2 * round);
}

const releaseMinutes = (release: ReleaseName | undefined) =>
  release === undefined ? USUAL_RELEASE : releases[release].dries;

/** The first slot that begins at or after a time; the number of slots where none does. */
const slotFrom = (slots: readonly SessionSlot[], at: number): number => {
  const found = slots.findIndex((slot) => slot.at >= at);
  return found < 0 ? slots.length : found;
};

/** When a mould can be poured again that comes out at a time: somebody is at hand, and its release is dry. */
const freeFrom = (out: number | undefined, release: number, atHand: AtHand) => {
  const at = out === undefined ? undefined : atHand(out);
  return at === undefined ? Infinity : at + release * MINUTE;
};

/** The copies of a mould: those that are neither given up nor leak; one where nobody listed any. */
function copiesOf(
  mould: CalendarMould,
  lines: readonly CalendarLine[],
  slots: readonly SessionSlot[],
  atHand: AtHand,
  sources: CalendarSources,
): Shared[] {
  // prettier-ignore
  const own = lines.filter(({ line, pour }) => line.mouldId === mould.id && pour > 0);
  if (mould.once || own.length === 0 || sources.trial?.without === 'copies') return [];
  const release = releaseMinutes(mould.release);
  const listed = mould.copies.filter(({ retired, leaks }) => !retired && !leaks).length;
  const room = Math.max(1, listed) + (sources.trial?.copyOf === mould.id ? 1 : 0);
  const full = sources.standing.filter(({ mouldId, freeAt }) => mouldId === mould.id && freeAt !== undefined);
  const taken = slots.map(({ at }) => full.filter(({ freeAt }) => freeFrom(freeAt, release, atHand) > at).length);
  const uses = own.map(({ line, middle }): SharedUse => ({
    line: line.id,
    each: 1,
    until: middle.map((times) => slotFrom(slots, freeFrom(times?.demoulded, release, atHand))),
  }));
  return [{ kind: 'copies', of: mould.id, room, taken, uses }];
}

/** How heavy a full mould of a line is, g. */
function freshMass({ work: { plan, volume } }: CalendarLine): number {
  return expectedOf(calculateSheet(plan).whole, volume).fresh;
}

/** The room of a place: what stands there, and spots of full moulds that cannot be moved. */
function roomOf(
  place: CalendarSources['places'][number],
  lines: readonly CalendarLine[],
  slots: readonly SessionSlot[],
  sources: CalendarSources,
): Shared[] {
  // prettier-ignore
  const { room } = place;
  if (room === undefined) return [];
  const { moulds, workshop } = sources.pour;
  const mouldOf = (id: string) => moulds.find((one) => one.id === id);
  const here = lines.filter((one) => one.place.id === place.id && one.pour > 0);
  const standing = sources.standing.filter((one) => (one.placeId ?? sources.places[0]?.id) === place.id);
  const areaOf = ({ mouldId }: Pick<StandingPiece, 'mouldId'>, round: number) => {
    const mould = mouldOf(mouldId);
    return mould ? footprint(mould, round) : 0;
  };
  const until = (one: CalendarLine, of: 'demoulded' | 'wanted') =>
    one.middle.map((times) =>
      times === undefined ? slots.length : slotFrom(slots, of === 'wanted' ? times[one.line.state] : times.demoulded),
    );
  const shelf: Shared = {
    kind: 'shelf',
    of: place.id,
    room,
    taken: slots.map(({ at }) =>
      standing.reduce((sum, one) => sum + (one.until > at ? areaOf(one, ROUND_PIECE) : 0), 0),
    ),
    uses: here.map((one) => ({ line: one.line.id, each: areaOf(one.line, ROUND_PIECE), until: until(one, 'wanted') })),
  };
  const fixed = here.filter((one) => {
    const mould = mouldOf(one.line.mouldId);
    return mould !== undefined && (staysPut(mould) || freshMass(one) > workshop.liftLimit);
  });
  const spots: Shared = {
    kind: 'spots',
    of: place.id,
    room,
    uses: fixed.map((one) => ({
      line: one.line.id,
      each: areaOf(one.line, ROUND_MOULD),
      until: until(one, 'demoulded'),
    })),
  };
  const { without } = sources.trial ?? {};
  return [...(without === 'shelf' ? [] : [shelf]), ...(without === 'spots' || fixed.length === 0 ? [] : [spots])];
}

/** What pieces of several sessions share: copies of moulds, room in places. */
export function sharedOf(
  lines: readonly CalendarLine[],
  slots: readonly SessionSlot[],
  atHand: AtHand,
  sources: CalendarSources,
): Shared[] {
  // prettier-ignore
  return [
    ...sources.pour.moulds.flatMap((mould) => copiesOf(mould, lines, slots, atHand, sources)),
    ...sources.places.flatMap((place) => roomOf(place, lines, slots, sources)),
  ];
}
