import { msg, quantity, type Message } from '@dewpot/core/units';
import type { MixFigures, Starter, VolumeShare } from '@dewpot/core/mixes';
import type { Speaker } from '@dewpot/locales';

/** What a mix is good for, as a screen names it. */
export const useWords: Record<MixFigures['use'], Message> = {
  display: msg('mixes.useDisplay'),
  garden: msg('mixes.useGarden'),
  'foot traffic': msg('mixes.useFootTraffic'),
};

/** Schools of mixes as a screen names them. */
export const schoolWords: Record<Starter['school'], Message> = {
  'sand-cement': msg('mixes.schoolSandCement'),
  gravelled: msg('mixes.schoolGravelled'),
  hypertufa: msg('mixes.schoolHypertufa'),
  lightweight: msg('mixes.schoolLightweight'),
  'fast-setting': msg('mixes.schoolFastSetting'),
  gypsum: msg('mixes.schoolGypsum'),
  underlayment: msg('mixes.schoolUnderlayment'),
  patch: msg('mixes.schoolPatch'),
  bagged: msg('mixes.schoolBagged'),
};

/** A share of a whole, without digits after its point. */
export const percentOf = (share: number) => quantity(share * 100, '%', 0);

/** The volumes of a mix in one line, for whoever hears them. */
export const tellShares = (shares: readonly VolumeShare[], say: Speaker): string =>
  say('mixes.byVolumeShares', {
    shares: shares.map(({ name, share }) => say('mixes.shareOf', { name, share: percentOf(share) })).join(', '),
  });
