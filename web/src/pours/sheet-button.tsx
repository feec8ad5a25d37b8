import { coreHolds } from '@dewpot/core/bench';
import type { BenchPart } from '@dewpot/core/planning';
import type { PourInput } from '@dewpot/contract';
import { makeSheet, PaperButton } from '../paper';
import { useUnits } from '../ui/units';
import { thingsToLayOut } from './preparation-checklist';
import { mixNames } from './mix-names';
import { useSay } from '../ui/say';

/** The mixing sheet of a pour as PDF; one that is kept carries a square that opens it. */
export function SheetButton({
  parts,
  input,
  kept,
}: {
  parts: readonly BenchPart[];
  input: Pick<PourInput, 'cover'>;
  kept?: { readonly id: string; readonly number: number };
}) {
  const say = useSay();
  const units = useUnits();
  const ballast = parts.flatMap(coreHolds).flatMap(({ name, held }) =>
    held
      ? [
          say('pours.onCoreOf', {
            name,
            mass: units.sayFigure(held.mass),
            sand: units.sayFigure(held.sand),
            sandName: say.inline(held.sandName),
          }),
        ]
      : [],
  );
  const words = {
    title: kept ? say('pours.titled', { number: kept.number, pieces: mixNames(parts) }) : say.value(mixNames(parts)),
    layOut: thingsToLayOut(
      parts.map(({ plan }) => plan),
      input,
    ).map((one) => say.value(one)),
    ballast,
    ...(kept && { number: kept.number, address: `${window.location.origin}/pours/${kept.id}` }),
  };
  return (
    <PaperButton
      name={say('pours.sheetPdf')}
      file="mixing-sheet"
      make={(ways) => makeSheet(parts, words, { ...ways, say })}
    />
  );
}
