/** What came of casts: how many, masses in g, money in the workshop's own. */
interface CastSums {
  readonly casts: number;
  readonly broken: number;
  /** Casts that left their mould and were looked at, and those of them that nothing was wrong with. */
  readonly seen: number;
  readonly good: number;
  readonly sold: number;
  readonly income: number;
  /** As they were expected to weigh fresh. */
  readonly mass: number;
  readonly brokenMass: number;
}

/** What came of a mould with a mix in a month. */
export interface SeasonPieces extends CastSums {
  /** As 2026-07. */
  readonly month: string;
  readonly mix: string;
  readonly mouldId: string;
  readonly mould: string;
}

/** What was made of a mix in a month, and what of it was left over and thrown away, mL. */
export interface SeasonBatches {
  readonly month: string;
  readonly mix: string;
  readonly volume: number;
  readonly leftover: number;
}

/** What pours of a month took of a material, g, each lot at its own price. */
export interface SeasonSpending {
  readonly month: string;
  readonly material: string;
  readonly mass: number;
  readonly cost: number;
}

/** What is left of a material, g, and what it cost. */
export interface SeasonStock {
  readonly material: string;
  readonly left: number;
  readonly value: number;
}

/** Everything that a season is told from, as it was summed up. */
export interface SeasonSums {
  readonly pieces: readonly SeasonPieces[];
  readonly batches: readonly SeasonBatches[];
  readonly spending: readonly SeasonSpending[];
  readonly stock: readonly SeasonStock[];
}

/** A month, or all of them together. `wasted`: of what was spent, what went into leftovers and broken pieces. */
interface SeasonTotals extends CastSums {
  readonly volume: number;
  readonly leftover: number;
  readonly spent: number;
  readonly wasted: number;
}

export interface SeasonMonth extends SeasonTotals {
  readonly month: string;
}

/** What came of one mould. */
interface SeasonMould {
  readonly mouldId: string;
  readonly mould: string;
  readonly casts: number;
  readonly seen: number;
  readonly good: number;
}

export interface Season {
  /** Every month from the first to the last in which anything happened. */
  readonly months: readonly SeasonMonth[];
  readonly total: SeasonTotals;
  readonly mixes: readonly { readonly mix: string; readonly casts: number; readonly mass: number; readonly volume: number }[];
  readonly moulds: readonly SeasonMould[];
  readonly materials: readonly { readonly material: string; readonly mass: number; readonly cost: number }[];
  readonly stock: readonly SeasonStock[];
  readonly stockValue: number;
} // prettier-ignore

/** More months than that are not told: ten years. */
const MOST_MONTHS = 120;

type Summed<T> = { readonly [K in keyof T as T[K] extends number ? K : never]: number };

const sumOf = <T>(rows: readonly T[], key: keyof Summed<T>): number =>
  rows.reduce((sum, row) => sum + Number(row[key as keyof T]), 0);

/** A month after another one, both as 2026-07. */
function nextMonth(month: string): string {
  const [year = 0, of = 1] = month.split('-').map(Number);
  return of === 12 ? `${year + 1}-01` : `${year}-${String(of + 1).padStart(2, '0')}`;
}

function monthsBetween(first: string, last: string): string[] {
  const months = [first];
  for (let month = first; month < last && months.length < MOST_MONTHS;) months.push((month = nextMonth(month)));
  return months;
}

/** What a stretch came to. Of its spending, what went into leftovers by volume and into broken pieces by mass was wasted. */
function totalsOf({ pieces, batches, spending }: Omit<SeasonSums, 'stock'>): SeasonTotals {
  const [mass, brokenMass] = [sumOf(pieces, 'mass'), sumOf(pieces, 'brokenMass')];
  const [volume, leftover, spent] = [sumOf(batches, 'volume'), sumOf(batches, 'leftover'), sumOf(spending, 'cost')];
  const [thrownAway, broken] = [volume > 0 ? leftover / volume : 0, mass > 0 ? brokenMass / mass : 0];
  return {
    casts: sumOf(pieces, 'casts'),
    broken: sumOf(pieces, 'broken'),
    seen: sumOf(pieces, 'seen'),
    good: sumOf(pieces, 'good'),
    sold: sumOf(pieces, 'sold'),
    income: sumOf(pieces, 'income'),
    mass,
    brokenMass,
    volume,
    leftover,
    spent,
    wasted: spent * (thrownAway + (1 - thrownAway) * broken),
  };
}

const namesOf = <T>(rows: readonly T[], name: (row: T) => string): string[] => [...new Set(rows.map(name))];

/** A season out of its sums: month by month, by mix and by material, with what it wasted and what is in store. Handbook 21, "Season". */
export function seasonOf({ pieces, batches, spending, stock }: SeasonSums): Season {
  const all = [...pieces, ...batches, ...spending].map(({ month }) => month).sort();
  const [first, last] = [all[0], all.at(-1)];
  const months = first && last ? monthsBetween(first, last) : [];
  const within = <T extends { readonly month: string }>(rows: readonly T[], month: string) =>
    rows.filter((row) => row.month === month);
  const mixes = namesOf([...pieces, ...batches], ({ mix }) => mix).map((mix) => {
    const own = pieces.filter((row) => row.mix === mix);
    const volume = sumOf(batches.filter((row) => row.mix === mix), 'volume'); // prettier-ignore
    return { mix, casts: sumOf(own, 'casts'), mass: sumOf(own, 'mass'), volume };
  });
  const materials = namesOf(spending, ({ material }) => material).map((material) => {
    const own = spending.filter((row) => row.material === material);
    return { material, mass: sumOf(own, 'mass'), cost: sumOf(own, 'cost') };
  });
  const moulds = namesOf(pieces, ({ mouldId }) => mouldId).map((mouldId): SeasonMould => {
    const own = pieces.filter((row) => row.mouldId === mouldId);
    const mould = own[0]?.mould ?? '';
    return { mouldId, mould, casts: sumOf(own, 'casts'), seen: sumOf(own, 'seen'), good: sumOf(own, 'good') };
  });
  return {
    months: months.map((month) => ({
      month,
      ...totalsOf({
        pieces: within(pieces, month),
        batches: within(batches, month),
        spending: within(spending, month),
      }),
    })),
    total: totalsOf({ pieces, batches, spending }),
    mixes: mixes.sort((a, b) => b.mass - a.mass),
    moulds: moulds.sort((a, b) => b.casts - a.casts),
    materials: materials.sort((a, b) => b.cost - a.cost),
    stock: [...stock].sort((a, b) => b.value - a.value),
    stockValue: sumOf(stock, 'value'),
  };
}
