import type { Inset, LaidInset } from '@dewpot/core/moulds';
import { makeTemplate, PaperButton } from '../paper';

/** A template in full size to lay an inset by, as PDF. */
export function TemplateButton({ inset, laid, mould }: { inset: Inset; laid: LaidInset; mould: string }) {
  return (
    <PaperButton name="Template, 1:1" file="template" make={(ways) => makeTemplate({ inset, laid, mould }, ways)} />
  );
}
