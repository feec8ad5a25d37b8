import type { ReckonedPart } from '@dewpot/core';
import type { PourPart } from '@dewpot/contract';
import { makeSheet, PaperButton } from '../paper';
import { useUnits } from '../ui/units';
import { mixNames } from './mix-names';

/** The mixing sheet of a pour as PDF. */
export function SheetButton({ parts, number }: { parts: readonly (PourPart & ReckonedPart)[]; number?: number }) {
  const units = useUnits();
  const title = `${number === undefined ? '' : `Pour ${number}: `}${mixNames(parts)}`;
  return (
    <PaperButton
      name="Sheet as PDF"
      file="mixing-sheet"
      make={(ways) => makeSheet(parts, title, { ...ways, say: (value, unit) => units.say(value, unit) })}
    />
  );
}
