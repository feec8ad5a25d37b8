import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import { reckonDryDown, type DryDown } from '@dewpot/core';
import { DryDownQuestion } from '@dewpot/contract';
import { Public } from '../http/request.js';

/** Reckoning for scripts: a plain description in, figures with basis and working out. Nothing is kept. */
@Public()
@Controller('api/reckon')
export class ReckonController {
  @Post('finish/dry-down')
  @HttpCode(200)
  dryDown(@Body() { weighings, dry, loss, setting, film }: DryDownQuestion): DryDown {
    return reckonDryDown(weighings, { dry, loss }, setting, { film });
  }
}
