import { Module } from '@nestjs/common';
import { questionControllers } from './index.js';

/** Stateless calculation for scripts. */
@Module({ controllers: [...questionControllers] })
export class ScriptApiModule {}
