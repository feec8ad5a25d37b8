import { Module } from '@nestjs/common';
import { HealthController } from './health.controller.js';

/** Whether the server and its database are well. */
@Module({
  controllers: [HealthController],
})
export class HealthModule {}
