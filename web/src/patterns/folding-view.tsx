import { useMemo, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { FieldIssue } from '@dewpot/core/units';
import type { CutPattern, Joint, PlacedPart } from '@dewpot/core/patterns';
import { useSay } from '../ui/say';
import { HEIGHT, SIZED_AIR, WIDTH } from './fit-drawing';
import { fitFolded, FoldingDrawing } from './folding-drawing';
import { FIRST_LOOK, type Look } from './looked-at';
import { sized, SizesOnDrawing } from './standing-sizes';

/** Radians for a px that is dragged, and for an arrow key. */
const TURN = 0.008;
const STEP = 0.15;

const turns: Readonly<Record<string, readonly [yaw: number, tilt: number]>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, STEP],
  ArrowDown: [0, -STEP],
};

const within = ({ yaw, tilt }: Look): Look => ({ yaw, tilt: Math.min(Math.PI, Math.max(0, tilt)) });

/** The thing as it stands or unfolded, turning between the two; its parts are picked in it. */
export function FoldingView({
  pieces,
  joints,
  pattern,
  issues,
  onChange,
  picked,
  onPick,
}: {
  pieces: readonly PlacedPart[];
  joints: readonly Joint[];
  pattern: CutPattern;
  issues: readonly FieldIssue[];
  onChange: (pattern: CutPattern) => void;
  picked: string | undefined;
  onPick: (part: string | undefined) => void;
}) {
  const say = useSay();
  const [share, setShare] = useState(1);
  const [look, setLook] = useState(FIRST_LOOK);
  const [from, setFrom] = useState<{ readonly x: number; readonly y: number; readonly look: Look }>();
  const { kind } = pattern;
  const at = useMemo(
    () => fitFolded(pieces, kind, share, look, sized(kind) ? SIZED_AIR : undefined),
    [pieces, kind, share, look],
  );
  const onKey = (event: KeyboardEvent) => {
    const turn = turns[event.key];
    if (!turn) return;
    event.preventDefault();
    setLook(({ yaw, tilt }) => within({ yaw: yaw + turn[0], tilt: tilt + turn[1] }));
  };
  const onMove = ({ clientX, clientY }: PointerEvent) => {
    if (!from) return;
    const [dx, dy] = [clientX - from.x, clientY - from.y];
    setLook(within({ yaw: from.look.yaw + dx * TURN, tilt: from.look.tilt - dy * TURN }));
  };
  return (
    <div>
      <div className="relative">
        <svg
          viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
          className="w-full touch-none select-none"
          role="img"
          aria-label={say('patterns.drawnTurn')}
          tabIndex={0}
          onKeyDown={onKey}
          onPointerDown={({ clientX, clientY }) => setFrom({ x: clientX, y: clientY, look })}
          onPointerMove={onMove}
          onPointerUp={() => setFrom(undefined)}
          onPointerLeave={() => setFrom(undefined)}
        >
          <FoldingDrawing {...{ pieces, joints, kind, share, look, at, picked, onPick }} />
        </svg>
        {share === 1 && <SizesOnDrawing {...{ pattern, pieces, look, at, issues, onChange }} />}
      </div>
      <label className="flex items-center gap-3 text-sm">
        <span>{say('patterns.flat')}</span>
        <input
          type="range"
          min={0}
          max={100}
          value={Math.round(share * 100)}
          className="range range-primary range-sm flex-1"
          aria-label={say('patterns.howFarFolded')}
          onChange={({ target }) => setShare(Number(target.value) / 100)}
        />
        <span>{say('patterns.standing')}</span>
      </label>
    </div>
  );
}
