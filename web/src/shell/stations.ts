import { msg, type Message } from '@dewpot/core/units';
import {
  Beaker,
  CalendarDays,
  ChartNoAxesCombined,
  Container,
  Hammer,
  Layers,
  PackageOpen,
  Palette,
  Scissors,
  Settings2,
  Sprout,
  type LucideIcon,
} from 'lucide-react';

export interface Station {
  readonly path: string;
  readonly name: Message;
  readonly icon: LucideIcon;
  /** On a phone it is reached with one tap. */
  readonly thumb?: boolean;
}

/** The stations in the order of the work; the number keys reach them. */
export const stations: readonly Station[] = [
  { path: '/', name: msg('shell.shelf'), icon: Layers, thumb: true },
  { path: '/moulds', name: msg('shell.moulds'), icon: Container, thumb: true },
  { path: '/patterns', name: msg('shell.patterns'), icon: Scissors },
  { path: '/mixes', name: msg('shell.mixes'), icon: Beaker },
  { path: '/tints', name: msg('shell.tints'), icon: Palette },
  { path: '/pours', name: msg('shell.pour'), icon: Hammer, thumb: true },
  { path: '/calendar', name: msg('shell.calendar'), icon: CalendarDays },
  { path: '/casts', name: msg('shell.casts'), icon: Sprout, thumb: true },
  { path: '/findings', name: msg('shell.findings'), icon: ChartNoAxesCombined },
  { path: '/materials', name: msg('shell.materials'), icon: PackageOpen },
  { path: '/workshop', name: msg('shell.workshop'), icon: Settings2 },
];

/** So many of them have a key of their own. */
export const DIGITS = 10;
