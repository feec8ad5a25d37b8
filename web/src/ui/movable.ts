import type { KeyboardEvent, PointerEvent } from 'react';
import type { PhotoPoint } from '@dewpot/core/photos';

/** Size of a photo that a drawing lies over, px. */
interface PhotoSize {
  readonly width: number;
  readonly height: number;
}

/** Where on the photo a pointer is, which is over its drawing or a part of it. */
export function placeOn(
  { width, height }: PhotoSize,
  { currentTarget, clientX, clientY }: PointerEvent<SVGElement>,
): PhotoPoint {
  const box = (currentTarget.ownerSVGElement ?? currentTarget).getBoundingClientRect();
  return [((clientX - box.left) / box.width) * width, ((clientY - box.top) / box.height) * height];
}

const steps: Readonly<Record<string, PhotoPoint>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** What makes a point of a drawing movable: dragged, or by the arrow keys so many px at a time. */
export function movable(size: PhotoSize, [x, y]: PhotoPoint, step: number, onMove: (at: PhotoPoint) => void) {
  return {
    tabIndex: 0,
    role: 'button',
    className: 'cursor-move',
    onPointerDown: (event: PointerEvent<SVGElement>) => {
      event.stopPropagation();
      event.currentTarget.setPointerCapture(event.pointerId);
    },
    onPointerMove: (event: PointerEvent<SVGElement>) => {
      if (event.buttons > 0) onMove(placeOn(size, event));
    },
    onKeyDown: (event: KeyboardEvent) => {
      const way = steps[event.key];
      if (!way) return;
      event.preventDefault();
      onMove([x + way[0] * step, y + way[1] * step]);
    },
  };
}
