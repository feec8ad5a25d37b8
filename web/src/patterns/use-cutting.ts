import { useEffect, useMemo, useState } from 'react';
import { proxy } from 'comlink';
import { InputError, issueInWords, type Message } from '@dewpot/core/units';
import { checkLengths, checkSheets, type CutLengths, type LengthWanted, type OutlineWanted, type Sheet, type SheetLayout, type SheetWays, type Stick } from '@dewpot/core/cutting'; // prettier-ignore
import { loadSolver } from '@dewpot/core/solver';
import { makeCuttingWork, type CuttingWork } from '../workers/cutting-work';
import { useAskedWork, type AskWork } from '../workers/use-asked-work';

const startCutting = () => new Worker(new URL('../workers/cutting.worker.ts', import.meta.url), { type: 'module' });
// On the screen's own thread it is looked for no longer than one waits for a screen.
const makeCutting = () => makeCuttingWork(() => loadSolver(), { sticks: 1, sheets: 0.3 });

/** What was found of a question so far. */
interface Looked<Found> {
  readonly asked?: string;
  readonly found?: Found | undefined;
  readonly over?: boolean;
  readonly error?: unknown;
}

/** A way of cutting as it is looked for: what is wrong with the question, what was found so far, whether it is still looked for. */
export interface Cutting<Found> {
  readonly wrong: Message | undefined;
  readonly busy: boolean;
  readonly found: Found | undefined;
  readonly error: unknown;
  /** Looks no further, and keeps what was found. */
  readonly stop: () => void;
}

function wrongWith(check: () => void): Message | undefined {
  try {
    check();
    return undefined;
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    const [first] = error.issues;
    return first && issueInWords(first);
  }
}

/** How a question is asked of the work of cutting; `onBetter` hears of what is found meanwhile. */
type LookFor<Asked, Found> = (ask: AskWork<CuttingWork>, asked: Asked, onBetter: (found: Found) => void) => Promise<Found | undefined>; // prettier-ignore

/** Looks for a way of cutting, and again whenever something else is asked; what was asked before is given up. `check` and `look` stay the same. */
function useCutting<Asked, Found>(
  asking: Asked,
  check: (asked: Asked) => void,
  look: LookFor<Asked, Found>,
): Cutting<Found> {
  const { ask, end } = useAskedWork<CuttingWork>(startCutting, makeCutting);
  const [state, setState] = useState<Looked<Found>>({});
  const asked = JSON.stringify(asking);
  const wrong = useMemo(() => wrongWith(() => check(JSON.parse(asked) as Asked)), [asked, check]);
  useEffect(() => {
    if (wrong) return;
    let [mine, over] = [true, false];
    const tell = (more: Looked<Found>) => void (mine && setState((one) => (one.asked === asked ? { ...one, ...more } : { asked, ...more }))); // prettier-ignore
    look(ask, JSON.parse(asked) as Asked, (found) => tell({ found }))
      .then(
        (found) => tell({ found, over: true }),
        (error: unknown) => tell({ error, over: true }),
      )
      .finally(() => (over = true));
    return () => {
      mine = false;
      if (!over) end();
    };
  }, [asked, wrong, look, ask, end]);
  const current = state.asked === asked ? state : {};
  return {
    wrong,
    busy: !wrong && !current.over,
    found: state.found,
    error: current.error,
    stop: () => {
      end();
      setState({ ...current, over: true });
    },
  };
}

interface SticksAsked {
  readonly wanted: readonly LengthWanted[];
  readonly sticks: readonly Stick[];
  readonly kerf: number;
}
// A number that is none does not outlive JSON.
const checkSticks = ({ wanted, sticks, kerf }: SticksAsked) => checkLengths(wanted, sticks, kerf ?? NaN);
const lookForSticks: LookFor<SticksAsked, CutLengths> = (ask, { wanted, sticks, kerf }) =>
  ask((work) => work.lengths(wanted, sticks, kerf)); // prettier-ignore

/** The fewest sticks. */
export const useCutLengths = (asked: SticksAsked) => useCutting(asked, checkSticks, lookForSticks);

interface SheetsAsked extends SheetWays {
  readonly wanted: readonly OutlineWanted[];
  readonly sheets: readonly Sheet[];
}
const checkLaid = ({ wanted, sheets, kerf }: SheetsAsked) => checkSheets(wanted, sheets, kerf ?? NaN);
const lookForSheets: LookFor<SheetsAsked, SheetLayout> = (ask, { wanted, sheets, kerf, saw }, onBetter) =>
  ask((work) => work.sheets(wanted, sheets, { kerf, saw }, proxy(onBetter)));

/** Where parts lie on sheets; each better layout as it comes. */
export const useLaidSheets = (asked: SheetsAsked) => useCutting(asked, checkLaid, lookForSheets);
