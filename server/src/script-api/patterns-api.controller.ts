import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import { within } from '@dewpot/core/units';
import { folded, workPattern, type FoldedPart, type WorkedPattern } from '@dewpot/core/patterns';
import { cutLengths, laySheets, type CutLengths, type SheetLayout } from '@dewpot/core/cutting';
import { loadSolver, type Solver } from '@dewpot/core/solver';
import { LengthsQuestion, PatternQuestion, SheetsQuestion } from '@dewpot/contract';
import { Calculated } from '../calculation/calculated.js';
import { apiExample } from './api-example.js';
import { patternExamples } from './pattern-examples.js';

/** Fresh density of a sand-cement mix, kg/L, and what one may lift, g, where nothing is told. */
const USUAL_DENSITY = 2.1;
const USUAL_LIFT = 25_000;

/** Handbook 19, "Cutting". mm */
const USUAL_KERF = 3;
/** A way of cutting is looked for so long, s. */
const SECONDS = 1.2;
/** The same question gets the same layout. */
const SEED = 1;
const TRIES = 60;

const keyed = <T extends { id: string }>({ id, ...rest }: T) => ({ key: id, ...rest });
const clock = () => performance.now() / 1000;

let solver: Promise<Solver> | undefined;

const worked = ({ pattern, density = USUAL_DENSITY, liftLimit = USUAL_LIFT }: PatternQuestion): WorkedPattern =>
  within('pattern', () => workPattern(pattern, { density, liftLimit }));

/** Patterns for scripts: sizes in; parts, net, answers and moulds out. Nothing is kept. */
@Calculated()
@Controller('api/calculate/patterns')
export class PatternsApiController {
  /** A pattern worked out: parts with their mitres, how they go together, what they make and weigh. */
  @Post('parts')
  @HttpCode(200)
  @apiExample(PatternQuestion, patternExamples.parts)
  parts(@Body() question: PatternQuestion): WorkedPattern {
    return worked(question);
  }

  /** A pattern's parts in space, as the thing stands. */
  @Post('assembled')
  @HttpCode(200)
  @apiExample(PatternQuestion, patternExamples.assembled)
  assembled(@Body() question: PatternQuestion): { pieces: FoldedPart[] } {
    return { pieces: folded(worked(question).pieces, 1) };
  }

  /** Which stick gives which pieces, for the least money, or from the fewest; and how few there can be. Nothing where the sticks do not do. */
  @Post('sticks')
  @HttpCode(200)
  @apiExample(LengthsQuestion, patternExamples.sticks)
  async sticks(@Body() { pieces, sticks, kerf = USUAL_KERF }: LengthsQuestion): Promise<{ cut?: CutLengths }> {
    const solve = await (solver ??= loadSolver());
    const ways = { solve, seconds: SECONDS, clock };
    const cut = cutLengths(pieces.map(keyed), sticks.map(keyed), kerf, ways);
    return cut ? { cut } : {};
  }

  /** Where parts lie on sheets, for the least money, or on the fewest. Nothing where the sheets do not do. */
  @Post('sheets')
  @HttpCode(200)
  @apiExample(SheetsQuestion, patternExamples.sheets)
  sheets(@Body() { parts, sheets, kerf = USUAL_KERF, saw = false }: SheetsQuestion): { layout?: SheetLayout } {
    const wanted = parts.map(({ grain = false, ...part }) => keyed({ ...part, grain }));
    const layout = laySheets(wanted, sheets.map(keyed), {
      kerf,
      saw,
      seed: SEED,
      seconds: SECONDS,
      clock,
      tries: TRIES,
    });
    return layout ? { layout } : {};
  }
}
