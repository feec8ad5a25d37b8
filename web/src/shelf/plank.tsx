import { memo } from 'react';
import { useNavigate } from 'react-router';
import { Piece, PieceLight, pieceSize } from '../ui/piece';
import type { PlacedGroup } from './layout';
import type { Group } from './reading';

const BOARD = 15;
const FRONT = 19;
const FORWARD = 9;
const TAG_ROOM = 25;

export interface PlankLineProps {
  readonly line: readonly PlacedGroup[];
  readonly label: string | undefined;
  readonly count: number;
  readonly width: number;
  readonly scale: number;
  readonly onDue: (group: Group) => void;
}

function Row({
  placed: { group, x, step },
  ground,
  scale,
  onDue,
}: {
  placed: PlacedGroup;
  ground: number;
  scale: number;
  onDue: (group: Group) => void;
}) {
  const navigate = useNavigate();
  const { casts, colour, due, plank, window } = group;
  const first = casts[0]!;
  const y = ground + (due ? FORWARD : 0);
  const codes = casts.length === 1 ? first.code : `${first.code}–${casts[casts.length - 1]!.code}`;
  const { height, width } = pieceSize(first.snapshot.shape, scale);
  const middle = x + (step * (casts.length - 1)) / 2;
  const name = `${first.snapshot.mouldName}${casts.length > 1 ? ` × ${casts.length}` : ''}, ${codes}`;
  return (
    <g>
      {casts.map((cast, i) => (
        <g key={cast.id} transform={`translate(${x + step * (casts.length - 1 - i)} ${y - 2})`}>
          <a
            href={`/casts/${cast.id}`}
            aria-label={`${cast.snapshot.mouldName} ${cast.code}`}
            className="piece-link"
            onClick={(event) => {
              event.preventDefault();
              void navigate(`/casts/${cast.id}`);
            }}
          >
            <title>{name}</title>
            <Piece shape={cast.snapshot.shape} colour={colour} scale={scale} stage={plank} />
            <rect x={-width / 2} y={-height} width={width} height={height} fill="transparent" className="piece-hit" />
          </a>
        </g>
      ))}
      {due && window ? (
        <g
          className="due-tag"
          transform={`translate(${middle} ${y + BOARD + 4})`}
          role="button"
          tabIndex={0}
          aria-label={`${window.stroke}: ${name}`}
          onClick={() => onDue(group)}
          onKeyDown={(event) => (event.key === 'Enter' || event.key === ' ') && onDue(group)}
        >
          <path d="M-43 0h80l6 6v18h-80l-6-6z" />
          <text y={17} textAnchor="middle">
            {window.stroke}
          </text>
        </g>
      ) : (
        <text x={middle} y={ground + BOARD + 13} textAnchor="middle" className="code-mark">
          {codes}
        </text>
      )}
    </g>
  );
}

/** One line of a plank with what stands on it, true to scale. */
export const PlankLine = memo(function PlankLine({ line, label, count, width, scale, onDue }: PlankLineProps) {
  const tallest = Math.max(34, ...line.map(({ group }) => pieceSize(group.casts[0]!.snapshot.shape, scale).height));
  const ground = tallest + 12;
  const height = ground + BOARD + FRONT + (line.some(({ group }) => group.due) ? TAG_ROOM - 8 : 6);
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      className="plank block"
      role="group"
      aria-label={label ? `${label}: ${count}` : undefined}
    >
      <PieceLight />
      <ellipse
        cx={width / 2}
        cy={ground + BOARD + FRONT + 4}
        rx={width * 0.49}
        ry={6}
        fill="var(--shade)"
        opacity={0.16}
      />
      <path d={`M7 ${ground - 7}H${width - 7}L${width} ${ground + BOARD}H0Z`} fill="var(--wood-top)" />
      <path d={`M7 ${ground - 7}H${width - 7}L${width - 5} ${ground - 2}H5Z`} fill="var(--shade)" opacity={0.13} />
      <rect y={ground + BOARD} width={width} height={FRONT} fill="var(--wood-front)" />
      <path
        d={`M0 ${ground + BOARD + 5.5}C${width * 0.3} ${ground + BOARD + 3} ${width * 0.5} ${ground + BOARD + 9} ${width} ${ground + BOARD + 5}M0 ${ground + BOARD + 13}C${width * 0.2} ${ground + BOARD + 15} ${width * 0.7} ${ground + BOARD + 10} ${width} ${ground + BOARD + 14}`}
        fill="none"
        stroke="var(--wood-edge)"
        opacity={0.35}
      />
      <rect y={ground + BOARD + FRONT - 2} width={width} height={2} fill="var(--wood-edge)" />
      {label && (
        <text x={10} y={ground + BOARD + 14.5} className="plank-name">
          {label} <tspan className="plank-count">{count}</tspan>
        </text>
      )}
      {line.map((placed) => (
        <Row key={placed.group.key} placed={placed} ground={ground + 6} scale={scale} onDue={onDue} />
      ))}
    </svg>
  );
});
