import { msg, type Message } from '@dewpot/core/units';
/** Screens that are reached from another one, beside the stations. */
export const innerScreens: readonly { readonly path: string; readonly name: Message }[] = [
  { path: '/moulds/new', name: msg('shell.measureMould') },
  { path: '/moulds/measure', name: msg('shell.measureVolume') },
  { path: '/moulds/file', name: msg('shell.mouldFromFile') },
  { path: '/moulds/pairs', name: msg('shell.pairsOfTubs') },
  { path: '/patterns/new', name: msg('shell.newPattern') },
  { path: '/mixes/new', name: msg('shell.newMix') },
  { path: '/mixes/compare', name: msg('shell.compareMixes') },
  { path: '/tints/new', name: msg('shell.newTint') },
  { path: '/tints/wanted', name: msg('shell.matchColour') },
  { path: '/tints/chips', name: msg('shell.testChips') },
  { path: '/tints/ladder', name: msg('shell.doseSeries') },
  { path: '/tints/book', name: msg('shell.swatches') },
  { path: '/tints/ways', name: msg('shell.afterCuring') },
  { path: '/pours/new', name: msg('shell.planPour') },
  { path: '/casts/weigh', name: msg('shell.weighDue') },
  { path: '/casts/join', name: msg('shell.assembleParts') },
  { path: '/casts/try', name: msg('shell.simulate') },
  { path: '/workshop/places', name: msg('shell.places') },
  { path: '/glossary', name: msg('shell.glossary') },
  { path: '/set-up', name: msg('shell.setUp') },
];
