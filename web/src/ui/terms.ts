import { msg, type Message } from '@dewpot/core/units';
/** A word of the trade that not everybody knows, and what it means in plain words. */
export interface Term {
  readonly name: Message;
  /** In one sentence. */
  readonly meaning: Message;
  /** What it is good for, or what to do about it. */
  readonly use: Message;
}

/** Words of the trade, by their keys. */
export const terms = {
  absorption: {
    name: msg('glossary.absorption'),
    meaning: msg('glossary.absorptionMeaning'),
    use: msg('glossary.absorptionUse'),
  },
  ballast: {
    name: msg('glossary.ballast'),
    meaning: msg('glossary.ballastMeaning'),
    use: msg('glossary.ballastUse'),
  },
  binder: {
    name: msg('glossary.binder'),
    meaning: msg('glossary.binderMeaning'),
    use: msg('glossary.binderUse'),
  },
  bulking: {
    name: msg('glossary.bulking'),
    meaning: msg('glossary.bulkingMeaning'),
    use: msg('glossary.bulkingUse'),
  },
  'cold-joint': {
    name: msg('glossary.coldJoint'),
    meaning: msg('glossary.coldJointMeaning'),
    use: msg('glossary.coldJointUse'),
  },
  consistency: {
    name: msg('glossary.consistency'),
    meaning: msg('glossary.consistencyMeaning'),
    use: msg('glossary.consistencyUse'),
  },
  draft: {
    name: msg('glossary.draft'),
    meaning: msg('glossary.draftMeaning'),
    use: msg('glossary.draftUse'),
  },
  efflorescence: {
    name: msg('glossary.efflorescence'),
    meaning: msg('glossary.efflorescenceMeaning'),
    use: msg('glossary.efflorescenceUse'),
  },
  'equivalent-age': {
    name: msg('glossary.equivalentAge'),
    meaning: msg('glossary.equivalentAgeMeaning'),
    use: msg('glossary.equivalentAgeUse'),
  },
  evaporation: {
    name: msg('glossary.evaporation'),
    meaning: msg('glossary.evaporationMeaning'),
    use: msg('glossary.evaporationUse'),
  },
  'fresh-density': {
    name: msg('glossary.freshDensity'),
    meaning: msg('glossary.freshDensityMeaning'),
    use: msg('glossary.freshDensityUse'),
  },
  'moist-curing': {
    name: msg('glossary.moistCuring'),
    meaning: msg('glossary.moistCuringMeaning'),
    use: msg('glossary.moistCuringUse'),
  },
  'pot-life': {
    name: msg('glossary.potLife'),
    meaning: msg('glossary.potLifeMeaning'),
    use: msg('glossary.potLifeUse'),
  },
  'recoat-window': {
    name: msg('glossary.recoatWindow'),
    meaning: msg('glossary.recoatWindowMeaning'),
    use: msg('glossary.recoatWindowUse'),
  },
  'release-agent': {
    name: msg('glossary.releaseAgent'),
    meaning: msg('glossary.releaseAgentMeaning'),
    use: msg('glossary.releaseAgentUse'),
  },
  set: {
    name: msg('glossary.initialSet'),
    meaning: msg('glossary.initialSetMeaning'),
    use: msg('glossary.initialSetUse'),
  },
  strength: {
    name: msg('glossary.strength'),
    meaning: msg('glossary.strengthMeaning'),
    use: msg('glossary.strengthUse'),
  },
  undercut: {
    name: msg('glossary.undercut'),
    meaning: msg('glossary.undercutMeaning'),
    use: msg('glossary.undercutUse'),
  },
  'water-cement': {
    name: msg('glossary.waterCement'),
    meaning: msg('glossary.waterCementMeaning'),
    use: msg('glossary.waterCementUse'),
  },
  'yield-factor': {
    name: msg('glossary.yieldFactor'),
    meaning: msg('glossary.yieldFactorMeaning'),
    use: msg('glossary.yieldFactorUse'),
  },
} as const satisfies Record<string, Term>;

export type TermKey = keyof typeof terms;
