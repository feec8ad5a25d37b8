import { quantity } from '@dewpot/core/units';
import { useSay } from '../ui/say';
const BOX = 160;
const TONES = ['#8d6f57', '#b9b3a6', '#5f6460', '#d8cdb8', '#7b4a3a'] as const;

/** A repeatable spread from 0 to 1: the R2 sequence of the plastic number, so that chips lie apart. */
const spread = (i: number, step: number, from: number) => (from + (i + 1) * step) % 1;

/** A sanded face of 160 × 160 mm with chips on so much of it, drawn to scale; a likeness. */
export function ChipFace({ cover, size, seed }: { cover: number; size: number; seed: number }) {
  const say = useSay();
  const each = Math.PI * (size / 2) ** 2 * 0.66;
  const count = Math.min(900, Math.round((cover * BOX * BOX) / each));
  return (
    <svg
      viewBox={`0 0 ${BOX} ${BOX}`}
      className="chamfer block w-full"
      role="img"
      aria-label={say('tints.faceWithChips', { cover: quantity(cover * 100, '%', 0) })}
    >
      <rect width={BOX} height={BOX} fill="#e4dfd2" />
      {Array.from({ length: count }, (_, i) => {
        const r = (size / 2) * (0.65 + 0.3 * spread(i, 0.6180339887, 0.1));
        const [cx, cy] = [spread(i, 0.7548776662, 0.13 * seed) * BOX, spread(i, 0.569840291, 0.29 * seed) * BOX];
        const turn = spread(i, 0.38, 0) * 180;
        return (
          <path
            key={i}
            d={`M${-r} ${-r * 0.2}L${-r * 0.3} ${-r}L${r * 0.8} ${-r * 0.6}L${r} ${r * 0.4}L${r * 0.1} ${r}L${-r * 0.9} ${r * 0.5}z`}
            transform={`translate(${cx.toFixed(1)} ${cy.toFixed(1)}) rotate(${turn.toFixed(0)})`}
            fill={TONES[i % TONES.length]}
          />
        );
      })}
    </svg>
  );
}
