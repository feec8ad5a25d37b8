import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import { defined } from '@dewpot/core/math';
import { Checker, msg } from '@dewpot/core/units';
import {
  causeName,
  chanceBetter,
  changeFor,
  compareMeans,
  compareShares,
  dealTrial,
  evidenceInWords,
  explainFault,
  findingContext,
  individualsChart,
  judgeTrial,
  shareLimits,
  trialSize,
  type FindingRecord,
} from '@dewpot/core/findings';
import {
  ChartQuestion,
  DealQuestion,
  MeansQuestion,
  SharesQuestion,
  TrialQuestion,
  WhyQuestion,
  type FindingCastAsked,
  type ShareAsked,
} from '@dewpot/contract';
import { Calculated } from '../calculation/calculated.js';
import { apiExample } from './api-example.js';
import { findingsExamples } from './findings-examples.js';

/** Refuses more good ones than casts. @throws InputError */
function checkShares(shares: SharesQuestion, before = ''): void {
  const check = new Checker();
  for (const side of ['a', 'b'] as const) {
    const { good, casts } = shares[side];
    check.number(`${before}${side}.good`, good, msg('findings.goodOnes'), { min: 0, max: casts });
  }
  check.done();
}

/** A cast that a script tells of, as findings see it. */
const recordOf = ({ mould, mix, piece, faults, under, seen = true }: FindingCastAsked, i: number): FindingRecord => ({
  id: `${i}`,
  code: `${i}`,
  mouldId: mould,
  mixId: mix,
  piece,
  at: i,
  seen,
  faults: faults.map((fault) => ({ fault, severity: 'clear' })),
  under: Object.fromEntries(under.map(({ of, ...recorded }) => [of, recorded])),
  ways: {},
  measured: {},
});

/** Working for scripts about what casts show. Nothing is kept. */
@Calculated()
@Controller('api/calculate/findings')
export class FindingsApiController {
  /** Two ways by how many of each came out good: how sure it is which is better, and each share with its exact limits. */
  @Post('shares')
  @HttpCode(200)
  @apiExample(SharesQuestion, findingsExamples.shares)
  shares(@Body() { a, b }: SharesQuestion) {
    checkShares({ a, b });
    const limits = ({ good, casts }: ShareAsked) => shareLimits(good, casts);
    return { ...compareShares(a, b), chanceOfB: chanceBetter(a, b), limits: { a: limits(a), b: limits(b) } };
  }

  /** Two ways by what was measured of each: the smaller mean is better. */
  @Post('means')
  @HttpCode(200)
  @apiExample(MeansQuestion, findingsExamples.means)
  means(@Body() { a, b }: MeansQuestion) {
    return compareMeans(a, b);
  }

  /** How many casts a side a trial needs, and what one says by now. */
  @Post('trial')
  @HttpCode(200)
  @apiExample(TrialQuestion, findingsExamples.trial)
  trial(@Body() { worse, better, soFar }: TrialQuestion) {
    const size = trialSize(worse, better);
    if (soFar) checkShares(soFar, 'soFar.');
    return { ...size, ...(soFar && { soFar: judgeTrial(size.aSide, soFar.a, soFar.b) }) };
  }

  /** Which copy of a pour gets which way. */
  @Post('deal')
  @HttpCode(200)
  @apiExample(DealQuestion, findingsExamples.deal)
  deal(@Body() { copies, seed, before }: DealQuestion) {
    return { sides: dealTrial(copies, seed, before ?? { a: 0, b: 0 }) };
  }

  /** Values in their order against the limits that those before each of them give. */
  @Post('chart')
  @HttpCode(200)
  @apiExample(ChartQuestion, findingsExamples.chart)
  chart(@Body() { values }: ChartQuestion) {
    return { points: individualsChart(values) };
  }

  /** Why a cast has a fault: the likeliest causes with their evidence, in words too, and what was not recorded. */
  @Post('why')
  @HttpCode(200)
  @apiExample(WhyQuestion, findingsExamples.why)
  why(@Body() { fault, cast, others }: WhyQuestion) {
    const records = [cast, ...others].map(recordOf);
    const { causes, unrecorded, missing } = explainFault(defined(records[0]), fault, findingContext(records));
    return {
      causes: causes.map(({ cause, share, evidence }) => ({
        cause,
        name: causeName(cause),
        share,
        evidence: evidenceInWords(cause, evidence),
        change: changeFor(cause),
      })),
      unrecorded,
      missing,
    };
  }
}
