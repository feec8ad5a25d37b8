/** How far a stretch is halved: so often, or until it is no wider than `width`. */
type Until = { readonly halvings: number } | { readonly width: number };

/**
 * The stretch in which something begins to hold, by halving: it does not hold at its low end (or is not asked there), and holds at its
 * high end. `holds` changes once between `low` and `high`.
 */
export function bisect(holds: (x: number) => boolean, low: number, high: number, until: Until): [number, number] {
  const goesOn = (done: number) => ('halvings' in until ? done < until.halvings : high - low > until.width);
  for (let done = 0; goesOn(done); done++) {
    const middle = (low + high) / 2;
    if (holds(middle)) high = middle;
    else low = middle;
  }
  return [low, high];
}

/** The first of so many places, in order, at which something holds; their number where it holds at none. Once it holds it goes on to. */
export function firstPlace(places: number, holds: (place: number) => boolean): number {
  let [low, high] = [0, places];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (holds(middle)) high = middle;
    else low = middle + 1;
  }
  return low;
}
