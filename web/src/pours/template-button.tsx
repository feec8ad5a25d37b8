import type { Inset, LaidInset } from '@dewpot/core/moulds';
import { makeTemplate, PaperButton } from '../paper';
import { useSay } from '../ui/say';

/** A template in full size to lay an inset by, as PDF. */
export function TemplateButton({ inset, laid, mould }: { inset: Inset; laid: LaidInset; mould: string }) {
  const say = useSay();
  return (
    <PaperButton
      name={say('pours.templateName')}
      file="template"
      make={(ways) => makeTemplate({ inset, laid, mould }, ways)}
    />
  );
}
