import { msg, type Message } from '@dewpot/core/units';
import type { Bead, Sheen, Stain, Streaks } from '@dewpot/core/sealing';

export const sheenWords: Record<Sheen, Message> = {
  matt: msg('sealing.sheenMatt'),
  satin: msg('sealing.sheenSatin'),
  gloss: msg('sealing.sheenGloss'),
};
export const streakWords: Record<Streaks, Message> = {
  none: msg('sealing.streaksNone'),
  faint: msg('sealing.streaksFaint'),
  plain: msg('sealing.streaksPlain'),
};
export const beadWords: Record<Bead, Message> = {
  stands: msg('sealing.beadStands'),
  spreads: msg('sealing.beadSpreads'),
  'soaks in': msg('sealing.beadSoaks'),
};
export const stainWords: Record<Stain, Message> = {
  'wipes off': msg('sealing.stainWipes'),
  'leaves a shadow': msg('sealing.stainShadow'),
  stays: msg('sealing.stainStays'),
};
