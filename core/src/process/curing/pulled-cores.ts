import { blanks, type MouldShape, type PlacedSolid } from '../../geometry/moulds/index.js';
import { pullWindows, type CoreKind, type PullWindow } from './core-pull-windows.js';

/** Up to this height a soft core is a plug that is plucked out, mm. */
const PLUG = 60;

/** Whether a solid is as wide at its top as at its bottom, and round or a block. */
function straight({ solid }: PlacedSolid): 'round' | 'block' | undefined {
  switch (solid.kind) {
    case 'round-frustum':
      return solid.bottomDiameter === solid.topDiameter ? 'round' : undefined;
    case 'polygon-frustum':
      return solid.bottomAcross === solid.topAcross ? 'block' : undefined;
    case 'rect-frustum':
      return solid.bottomLength === solid.topLength && solid.bottomWidth === solid.topWidth ? 'block' : undefined;
    case 'prism':
      return solid.draft === 0 ? 'block' : undefined;
    case 'lying-pipe':
      return 'round';
    default:
      return undefined;
  }
}

const heightOf = ({ solid }: PlacedSolid) => ('height' in solid ? solid.height : 0);

/** How a core comes out; undefined for what stays in the cast. */
export function coreKind(core: PlacedSolid, greased: boolean): CoreKind | undefined {
  if (core.stays) return undefined;
  const shape = straight(core);
  if (core.soft) return heightOf(core) > PLUG ? 'tapered' : 'soft plug';
  if (shape === 'block') return 'block';
  if (shape === 'round') return greased ? 'greased' : 'stiff';
  return 'tapered';
}

/** A core that is pulled before the demoulding. */
export interface PulledCore {
  readonly name: string;
  readonly kind: Exclude<CoreKind, 'tapered' | 'block'>;
  readonly window: PullWindow;
}

/** The cores of a mould that are pulled while the piece is green: pipes, dowels and plugs; `release` is what was put on them. */
export function pulledCores(shape: MouldShape, release: string | undefined): PulledCore[] {
  const greased = release !== undefined && release !== 'none';
  return blanks(shape).flatMap((core) => {
    const kind = coreKind(core, greased);
    return kind === undefined || kind === 'tapered' || kind === 'block'
      ? []
      : [{ name: core.name, kind, window: pullWindows[kind] }];
  });
}
