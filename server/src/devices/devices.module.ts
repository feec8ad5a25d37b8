import { Module } from '@nestjs/common';
import { BenchScaleService } from './bench-scale.service.js';
import { ScaleController } from './scale.controller.js';

/** Devices at the bench; those that ship are simulated. */
@Module({
  controllers: [ScaleController],
  providers: [BenchScaleService],
  exports: [BenchScaleService],
})
export class DevicesModule {}
