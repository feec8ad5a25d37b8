import { listed } from '@dewpot/core/units';
import type { DrawnPoint, SeenFault } from '@dewpot/core/casts';
import { faultName } from '@dewpot/core/findings';
import type { CastRow } from '@dewpot/contract';
import { PieceThumb } from '../ui/piece-thumb';
import { useSay } from '../ui/say';

const SIZE = 150;

/** A piece with the marks of what is wrong with it; tapped, it takes one. Whoever cannot tap names the spot instead. */
export function FaultDrawing({ cast, drawn, onDrawn }: { cast: CastRow; drawn: DrawnPoint | undefined; onDrawn: (at: DrawnPoint) => void }) {
  const say = useSay();
  return (
    <div
      role="img"
      aria-label={say('findings.tapWhere')}
      className="border-base-300 relative cursor-crosshair border"
      style={{ width: SIZE, height: SIZE }}
      onPointerDown={({ currentTarget, clientX, clientY }) => {
        const { left, bottom, width, height } = currentTarget.getBoundingClientRect();
        const held = (share: number) => Math.min(1, Math.max(0, share));
        onDrawn({ x: held((clientX - left) / width), y: held((bottom - clientY) / height) });
      }}
    >
      <PieceThumb shape={cast.snapshot.shape} colour={cast.snapshot.colour} faceColouring={cast.snapshot.faceColouring} size={SIZE - 2} />
      {drawn && <FaultMark at={drawn} />}
    </div>
  );
} // prettier-ignore

/** A piece with everything that was found wrong with it where it was marked; nothing where nothing was. */
export function MarkedPiece({ cast: { snapshot }, faults }: { cast: Pick<CastRow, 'snapshot'>; faults: readonly SeenFault[] }) {
  const say = useSay();
  const marked = faults.filter(({ drawn }) => drawn);
  if (marked.length === 0) return null;
  const names = listed(marked.map(({ fault }) => faultName(fault)));
  return (
    <div role="img" aria-label={say('findings.markedHere', { faults: names })} className="border-base-300 relative float-right ml-3 border" style={{ width: SIZE, height: SIZE }}>
      <PieceThumb shape={snapshot.shape} colour={snapshot.colour} faceColouring={snapshot.faceColouring} size={SIZE - 2} />
      {marked.map(({ fault, drawn }) => drawn && <FaultMark key={fault} at={drawn} />)}
    </div>
  );
} // prettier-ignore

/** A ring where something is wrong. */
function FaultMark({ at: { x, y } }: { at: DrawnPoint }) {
  return (
    <span
      aria-hidden="true"
      className="border-error absolute size-5 -translate-x-1/2 translate-y-1/2 rounded-full border-3"
      style={{ left: `${x * 100}%`, bottom: `${y * 100}%` }}
    />
  );
}
