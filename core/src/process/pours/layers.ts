import { defined } from '../../foundation/math/index.js';
import { computed, figure, InputError, line, type Figure, msg } from '../../foundation/units/index.js';
import { heightFor, rimOf, volumeTo } from '../../geometry/moulds/index.js';
import type { Dose } from '../../mixing/mixes/index.js';
import { checkColouring, type Colouring } from '../../mixing/tints/index.js';
import { displacedBelow, pieceVolume } from './pieces.js';
import type { PourItem, PourTint } from './plan.js';

/** One layer of a piece, heights in mm from the bottom of the mould. */
export interface Layer {
  readonly tint: PourTint;
  readonly from: number;
  readonly to: number;
  readonly volume: Figure;
}

type Coloured = Pick<PourItem, 'shape' | 'fillTo' | 'name' | 'inset'> & { readonly colouring: Colouring<PourTint> };

function layerVolume(item: Coloured, i: number, to: number, volume: number): Figure {
  const { by = 'height', parts } = item.colouring;
  const share = defined(parts[i]).share;
  return figure(volume, 'mL', computed, [
    line(msg('pours.shareOfBy', { by }), share * 100, '%'),
    line(msg('pours.endsAt'), to, 'mm', msg('pours.fromMouldBottom')),
    line(msg('pours.takes'), volume, 'mL', msg('pours.byFillCurve')),
  ]);
}

const buried = ({ name, inset }: Coloured, i: number) =>
  new InputError([
    {
      field: `colouring.parts.${i}.share`,
      value: undefined,
      message: msg('pours.layerNoRoom', {
        i: i + 1,
        name,
        inset: inset ? 'some' : 'none',
        insetName: inset?.name ?? '',
      }),
      remedy: msg('pours.higherOrThinner'),
    },
  ]);

/**
 * The layers of a banded piece, bottom up, up to its fill line: by share of height or of volume, from the fill curve.
 * Their volumes add up to what the piece takes. @throws InputError on shares that do not add up to 1
 */
export function layersOf(item: Coloured): Layer[] {
  const { by = 'height', parts } = item.colouring;
  checkColouring(item.colouring, 'colouring', item.name);
  const height = item.fillTo ?? rimOf(item.shape);
  const whole = pieceVolume(item);
  // An inset on the bottom takes its room below every layer, one on the open face within the last.
  const under = displacedBelow(item);
  const sum = parts.reduce((total, { share }) => total + share, 0);
  let [from, filled, shared] = [0, 0, 0];
  return parts.map(({ tint, share }, i) => {
    shared += share / sum;
    const last = i === parts.length - 1;
    const to = last ? height : by === 'height' ? shared * height : heightFor(item.shape, shared * whole + under);
    const upTo = last ? whole : by === 'height' ? volumeTo(item.shape, to) - under : shared * whole;
    const volume = upTo - filled;
    if (volume <= 0) throw buried(item, i);
    const layer = { tint, from, to, volume: layerVolume(item, i, to, volume) };
    [from, filled] = [to, upTo];
    return layer;
  });
}

/** mL of one tint in one piece. */
export interface TintVolume {
  readonly tint: PourTint;
  readonly volume: number;
}

/** A body with a second tint's pigment strewn in at the end, for its share of the binder: one batch. */
function swirled({ parts: [body, strewn] }: Colouring<PourTint>): PourTint {
  const { tint } = defined(body);
  const late = defined(strewn).tint.doses.map((dose) => ({ ...dose, amount: dose.amount * defined(strewn).share }));
  const both = [...tint.doses, ...late].map(({ material }) => material);
  const amount = (of: readonly Dose[], id: string) => of.find((dose) => dose.material.id === id)?.amount ?? 0;
  return {
    ...tint,
    id: `${tint.id} ${defined(strewn).tint.id}`,
    name: msg('pours.swirledWith', { tint: tint.name, tint2: defined(strewn).tint.name }),
    doses: [...new Map(both.map((material) => [material.id, material])).values()].map((material) => ({
      material,
      amount: amount(tint.doses, material.id) + amount(late, material.id),
    })),
    late,
  };
}

/** What one piece takes of each of its tints, in the order they go in. @throws InputError */
export function tintVolumes(item: PourItem): TintVolume[] {
  const { colouring } = item;
  if (!colouring) return [];
  if (colouring.kind === 'banded')
    return layersOf({ ...item, colouring }).map(({ tint, volume }) => ({ tint, volume: volume.value }));
  checkColouring(colouring, 'colouring', item.name);
  const whole = pieceVolume(item);
  if (colouring.kind === 'swirled') return [{ tint: swirled(colouring), volume: whole }];
  const sum = colouring.parts.reduce((total, { share }) => total + share, 0);
  return colouring.parts.map(({ tint, share }) => ({ tint, volume: (whole * share) / sum }));
}
