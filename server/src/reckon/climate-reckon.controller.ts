import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import {
  follow,
  followed,
  mend,
  readAirCsv,
  sift,
  type CsvRead,
  type Following,
  type Mended,
  type Sifted,
} from '@dewpot/core';
import { AirFileQuestion, AirSeriesQuestion, FollowQuestion, type WholeAirReading } from '@dewpot/contract';
import { Calculated } from '../calculation/calculated.js';
import { asked } from './asked.js';
import { climateExamples } from './cure-examples.js';

/** Reckoning for scripts about the air. Nothing is kept. */
@Calculated()
@Controller('api/reckon/climate')
export class ClimateReckonController {
  /** Which readings of a logger count, and what is bridged between them. */
  @Post('series')
  @HttpCode(200)
  @asked(AirSeriesQuestion, climateExamples.series)
  series(@Body() { readings, now }: AirSeriesQuestion): Sifted & Pick<Mended, 'bridges'> {
    const sifted = sift(readings, now);
    const { bridges, aside } = mend(sifted.kept);
    return { ...sifted, aside: [...sifted.aside, ...aside], bridges };
  }

  /** A logger's file as it is understood. */
  @Post('file')
  @HttpCode(200)
  @asked(AirFileQuestion, climateExamples.file)
  file(@Body() { text, zone, order = 'day-first' }: AirFileQuestion): CsvRead {
    return readAirCsv(text, { zone, order });
  }

  /** How a place follows the weather, and what is ahead of it. */
  @Post('following')
  @HttpCode(200)
  @asked(FollowQuestion, climateExamples.following)
  following(@Body() { place, outdoors, kind, ahead }: FollowQuestion): {
    following: Following;
    ahead: WholeAirReading[];
  } {
    const following = follow(place, outdoors, kind);
    return { following, ahead: ahead.map((one) => followed(one, following)) };
  }
}
