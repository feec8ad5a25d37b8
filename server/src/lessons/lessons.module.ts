import { Module } from '@nestjs/common';
import { ForgottenLessons } from './forgotten-lessons.service.js';

/** What of a workshop's lessons is forgotten. */
@Module({ providers: [ForgottenLessons], exports: [ForgottenLessons] })
export class LessonsModule {}
