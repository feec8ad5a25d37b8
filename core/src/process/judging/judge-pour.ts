import { worstFirst, type FindingKey, msg, type Message, listed } from '../../foundation/units/index.js';
import type { PourPlan } from '../pours/index.js';
import { fitRule, floatingCoreRule } from './fit-rules.js';
import { weightRule } from './handling-rules.js';
import {
  judgedItems,
  type ItemRule,
  type JudgeContext,
  type JudgedPour,
  type PourFigures,
  type PourFinding,
  type PourRule,
  type PutAside,
} from './judged.js';
import { bucketRule, consistencyRule, fluidPressedRule, potLifeRule } from './placing-rules.js';
import { releaseRule } from './release-rules.js';
import {
  moistGypsumRule,
  dryAmbientRule,
  lightCureRule,
  setsOtherwiseRule,
  temperatureRule,
  thickSectionRule,
} from './setting-rules.js';
import { chlorideRule, fadingRule, greyBaseRule, oldBinderRule, shortRule } from './stock-rules.js';
import { holdsWaterRule, ownNoteRule, strengthRule, usesRule, wetBinderRule } from './use-rules.js';

const itemRules: readonly ItemRule[] = [
  fitRule,
  floatingCoreRule,
  consistencyRule,
  fluidPressedRule,
  releaseRule,
  wetBinderRule,
  strengthRule,
  usesRule,
  holdsWaterRule,
  ownNoteRule,
  thickSectionRule,
  fadingRule,
  greyBaseRule,
  chlorideRule,
  weightRule,
];

/** What a mix says of itself that a rule of the pour says better. */
const SAID_OF_ITEM: readonly FindingKey[] = ['chloride'];
const mixRule: PourRule = ({ figures: { mix } }) => mix.findings.filter(({ key }) => !SAID_OF_ITEM.includes(key));

const pourRules: readonly PourRule[] = [
  mixRule,
  bucketRule,
  potLifeRule,
  lightCureRule,
  moistGypsumRule,
  setsOtherwiseRule,
  temperatureRule,
  dryAmbientRule,
  oldBinderRule,
  shortRule,
];

/** A pour as it is judged: what speaks against it, the worst first, and what nobody could judge. */
export interface Judgement {
  readonly findings: readonly PourFinding[];
  /** What is not known, and so was not judged. */
  readonly unknown: readonly Message[];
}

/** What of a pour is not known. */
function unknownOf({ plan, context: { moulds = {}, release, uses, ahead } }: JudgedPour): Message[] {
  const names = (of: PourPlan['items']) => listed([...new Set(of.map(({ name }) => name))]);
  const noWall = plan.items.filter(({ mouldId }) => !moulds[mouldId]);
  const noStuff = plan.items.filter(({ mouldId }) => moulds[mouldId] && !moulds[mouldId].material);
  return [
    ...(noWall.length > 0 ? [msg('judging.unknownFlexibility', { noWall: names(noWall) })] : []),
    ...(noStuff.length > 0 ? [msg('judging.unknownMaterial', { noStuff: names(noStuff) })] : []),
    ...(release || plan.items.every(({ mouldId }) => moulds[mouldId]?.release) ? [] : [msg('judging.unknownRelease')]),
    ...(uses && uses.length > 0 ? [] : [msg('judging.unknownUse')]),
    ...(ahead && ahead.length > 0 ? [] : [msg('judging.unknownAhead')]),
  ];
}

/** The reason for which a finding was put aside for its mould. */
const asideOf = ({ key, item }: PourFinding, plan: PourPlan, aside: readonly PutAside[]) =>
  aside.find(
    (one) => one.key === key && plan.items.some(({ mouldId }, at) => mouldId === one.mouldId && (item ?? at) === at),
  )?.reason;

/**
 * What speaks against a pour: each mould with its mix, its place and its use. What was put aside comes last, with its reason.
 * Each finding names what it rests on; what is not known is listed and not guessed.
 */
export function judgePour(plan: PourPlan, figures: PourFigures, context: JudgeContext = {}): Judgement {
  const pour: JudgedPour = { plan, figures, context };
  const ofItems = judgedItems(pour).flatMap((judged, item) =>
    itemRules.flatMap((rule): PourFinding[] => [rule(judged) ?? []].flat().map((finding) => ({ ...finding, item }))),
  );
  const all = [...ofItems, ...pourRules.flatMap((rule) => rule(pour))].map((finding): PourFinding => {
    const reason = asideOf(finding, plan, context.aside ?? []);
    return reason === undefined ? finding : { ...finding, aside: reason };
  });
  const sorted = worstFirst(all);
  return {
    findings: [
      ...sorted.filter(({ aside }) => aside === undefined),
      ...sorted.filter(({ aside }) => aside !== undefined),
    ],
    unknown: unknownOf(pour),
  };
}
