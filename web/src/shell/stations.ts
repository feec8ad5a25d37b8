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
}

/** The stations in the order of the work; the number keys reach them. */
export const stations: readonly Station[] = [
  { path: '/', name: 'Shelf', icon: Layers },
  { path: '/moulds', name: 'Moulds', icon: Container },
  { path: '/mixes', name: 'Mixes', icon: Beaker },
  { path: '/tints', name: 'Tints', icon: Palette },
  { path: '/pours', name: 'Pour', icon: Hammer },
  { path: '/casts', name: 'Casts', icon: Sprout },
  { path: '/materials', name: 'Materials', icon: PackageOpen },
  { path: '/workshop', name: 'Workshop', icon: Settings2 },
];
