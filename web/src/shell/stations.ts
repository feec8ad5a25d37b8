import {
  Beaker,
  Container,
  Hammer,
  Layers,
  PackageOpen,
  Palette,
  Settings2,
  Sprout,
  type LucideIcon,
} from 'lucide-react';

export interface Station {
  readonly path: string;
  readonly name: string;
  readonly icon: LucideIcon;
  /** On a phone it is reached with one tap. */
  readonly thumb?: boolean;
}

/** The stations in the order of the work; the number keys reach them. */
export const stations: readonly Station[] = [
  { path: '/', name: 'Shelf', icon: Layers, thumb: true },
  { path: '/moulds', name: 'Moulds', icon: Container, thumb: true },
  { path: '/mixes', name: 'Mixes', icon: Beaker },
  { path: '/tints', name: 'Tints', icon: Palette },
  { path: '/pours', name: 'Pour', icon: Hammer, thumb: true },
  { path: '/casts', name: 'Casts', icon: Sprout, thumb: true },
  { path: '/materials', name: 'Materials', icon: PackageOpen },
  { path: '/workshop', name: 'Workshop', icon: Settings2 },
];
