import { msg, type Message, type Phrase } from '@dewpot/core/units';

/** What casters put on a mould, by the word that a pour keeps. */
export const releaseNames: Readonly<Record<string, Message>> = {
  'paste wax': msg('pours.releasePasteWax'),
  'plant oil': msg('pours.releasePlantOil'),
  'mineral oil': msg('pours.releaseMineralOil'),
  'petroleum jelly': msg('pours.releasePetroleum'),
  soap: msg('pours.releaseSoap'),
  'silicone spray': msg('pours.releaseSilicone'),
  film: msg('pours.releaseFilm'),
  none: msg('pours.releaseNone'),
};

/** What casters cover a full mould with, by the word that a pour keeps. */
export const coverNames: Readonly<Record<string, Message>> = {
  film: msg('pours.coverFilm'),
  bag: msg('pours.coverBag'),
  'damp cloth': msg('pours.coverCloth'),
  shade: msg('pours.coverShade'),
  none: msg('pours.coverNone'),
};

/** A release in the reader's language, or as somebody typed it. */
export const releaseCalledBy = (word: string): Phrase => releaseNames[word] ?? word;

/** A cover in the reader's language, or as somebody typed it. */
export const coverCalled = (word: string): Phrase => coverNames[word] ?? word;
