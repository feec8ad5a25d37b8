import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import {
  cleanSeries,
  follow,
  followed,
  readAmbientCsv,
  sift,
  type CleanedSeries,
  type CsvRead,
  type Following,
  type Sifted,
  type WholeAmbientReading,
} from '@dewpot/core/ambient';
import { AmbientFileQuestion, AmbientSeriesQuestion, FollowQuestion } from '@dewpot/contract';
import { Calculated } from '../calculation/calculated.js';
import { apiExample } from './api-example.js';
import { ambientExamples } from './curing-examples.js';

/** Working for scripts about the air. Nothing is kept. */
@Calculated()
@Controller('api/calculate/ambient')
export class AmbientApiController {
  /** Which readings of a logger count, and what is bridged between them. */
  @Post('series')
  @HttpCode(200)
  @apiExample(AmbientSeriesQuestion, ambientExamples.series)
  series(@Body() { readings, now }: AmbientSeriesQuestion): Sifted & Pick<CleanedSeries, 'bridges'> {
    const sifted = sift(readings, now);
    const { bridges, aside } = cleanSeries(sifted.kept);
    return { ...sifted, aside: [...sifted.aside, ...aside], bridges };
  }

  /** A logger's file as it is understood. */
  @Post('file')
  @HttpCode(200)
  @apiExample(AmbientFileQuestion, ambientExamples.file)
  file(@Body() { text, zone, order = 'day-first' }: AmbientFileQuestion): CsvRead {
    return readAmbientCsv(text, { zone, order });
  }

  /** How a place follows the weather, and what is ahead of it. */
  @Post('following')
  @HttpCode(200)
  @apiExample(FollowQuestion, ambientExamples.following)
  following(@Body() { place, outdoors, kind, ahead }: FollowQuestion): {
    following: Following;
    ahead: WholeAmbientReading[];
  } {
    const following = follow(place, outdoors, kind);
    return { following, ahead: ahead.map((one) => followed(one, following)) };
  }
}
