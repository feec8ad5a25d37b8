import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import {
  cleanSeries,
  follow,
  followed,
  readAirCsv,
  sift,
  type CleanedSeries,
  type CsvRead,
  type Following,
  type Sifted,
} from '@dewpot/core/ambient';
import { AirFileQuestion, AirSeriesQuestion, FollowQuestion, type WholeAirReading } from '@dewpot/contract';
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
  @apiExample(AirSeriesQuestion, ambientExamples.series)
  series(@Body() { readings, now }: AirSeriesQuestion): Sifted & Pick<CleanedSeries, 'bridges'> {
    const sifted = sift(readings, now);
    const { bridges, aside } = cleanSeries(sifted.kept);
    return { ...sifted, aside: [...sifted.aside, ...aside], bridges };
  }

  /** A logger's file as it is understood. */
  @Post('file')
  @HttpCode(200)
  @apiExample(AirFileQuestion, ambientExamples.file)
  file(@Body() { text, zone, order = 'day-first' }: AirFileQuestion): CsvRead {
    return readAirCsv(text, { zone, order });
  }

  /** How a place follows the weather, and what is ahead of it. */
  @Post('following')
  @HttpCode(200)
  @apiExample(FollowQuestion, ambientExamples.following)
  following(@Body() { place, outdoors, kind, ahead }: FollowQuestion): {
    following: Following;
    ahead: WholeAirReading[];
  } {
    const following = follow(place, outdoors, kind);
    return { following, ahead: ahead.map((one) => followed(one, following)) };
  }
}
