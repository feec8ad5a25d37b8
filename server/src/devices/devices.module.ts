import { Module } from '@nestjs/common';
import { ScaleController } from './scale.controller.js';

/** Devices at the bench; those that ship are simulated. */
@Module({
  controllers: [ScaleController],
})
export class DevicesModule {}
