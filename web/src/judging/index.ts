export { Findings, type AsideWays } from './findings';
export { useAsideOfPair } from './use-aside-of-pair';
export { useJudgedPair } from './use-judged-pair';
