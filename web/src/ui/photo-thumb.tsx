import { X } from 'lucide-react';
import type { PhotoSize, Role } from '@dewpot/contract';
import { Button } from './button';

interface PhotoThumbProps {
  /** Where the photo is had in each size. */
  readonly address: (size: PhotoSize) => string;
  readonly alt: string;
  readonly width: number;
  readonly height: number;
  /** What taking it away is called, and the question before it. */
  readonly remove: string;
  /** Who may take it away at the least. */
  readonly needs: Role;
  readonly ask: string;
  readonly onRemove: () => void;
}

/** A photo among others: opened it shows all that it has. */
export function PhotoThumb({ address, alt, width, height, remove, needs, ask, onRemove }: PhotoThumbProps) {
  return (
    <li className="relative">
      <a href={address('large')} target="_blank" rel="noreferrer">
        <img src={address('small')} alt={alt} width={width} height={height} loading="lazy" className="h-24 w-auto" />
      </a>
      <Button
        needs={needs}
        look="plain"
        size="low"
        className="bg-base-100/80 absolute top-0 right-0 w-11 p-0"
        aria-label={remove}
        onClick={() => window.confirm(ask) && onRemove()}
      >
        <X size={16} aria-hidden="true" />
      </Button>
    </li>
  );
}
