import { handbookMaterial } from '@dewpot/core/materials';
import type { Starter } from '@dewpot/core/mixes';
import type { Speaker } from '@dewpot/locales';
import type { MaterialView, MixInput } from '@dewpot/contract';

/** A mix of the library with the workshop's own materials, and the names of those that it does not have. */
export function mixOfStarter(
  starter: Starter,
  materials: readonly MaterialView[],
  say: Speaker,
): { draft: MixInput; missing: string[] } {
  const { key: _, school: __, name: ___, suits, unfit, lines, doses, ...rest } = starter;
  const named = (key: string) => say(handbookMaterial(key).name);
  const find = (key: string) => materials.find(({ name }) => name === named(key))?.id;
  return {
    draft: {
      ...rest,
      suits: say(suits),
      unfit: say(unfit),
      name: '',
      colourCalculated: true,
      lines: lines.flatMap(([key, parts]) => {
        const materialId = find(key);
        return materialId ? [{ materialId, parts }] : [];
      }),
      doses: doses.flatMap(([key, amount]) => {
        const materialId = find(key);
        return materialId ? [{ materialId, amount }] : [];
      }),
      version: 0,
    },
    missing: [...lines, ...doses].flatMap(([key]) => (find(key) ? [] : [named(key)])),
  };
}
