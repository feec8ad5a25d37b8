import { msg, type Message } from '@dewpot/core/units';
import type { AmbientSource, PlaceKind } from '@dewpot/core/ambient';

export const placeKindWords: Record<PlaceKind, Message> = {
  shed: msg('ambient.kindShed'),
  bag: msg('ambient.kindBag'),
  cellar: msg('ambient.kindCellar'),
  yard: msg('ambient.kindOutdoors'),
};

export const sourceWords: Record<AmbientSource, { readonly name: Message; readonly does: Message }> = {
  logger: { name: msg('ambient.sourceLogger'), does: msg('ambient.postsItself') },
  files: { name: msg('ambient.sourceFiles'), does: msg('ambient.sourceFilesHint') },
  forecast: { name: msg('ambient.sourceForecast'), does: msg('ambient.sourceForecastHint') },
  typed: { name: msg('ambient.sourceFigure'), does: msg('ambient.sourceFigureHint') },
  season: { name: msg('ambient.sourceMonths'), does: msg('ambient.sourceMonthsHint') },
  unknown: { name: msg('ambient.sourceUnknown'), does: msg('ambient.sourceUnknownHint') },
};
