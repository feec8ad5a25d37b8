import { lessonGroups, type LearnedFigure, type LessonGroup } from '@dewpot/core/findings';
import { IsIn } from 'class-validator';
import { Keys } from './limits.js';

/** What is to be forgotten, or to count again. */
export class ForgottenInput {
  @IsIn(lessonGroups) group: LessonGroup;
  /** Keys of what it was learned of: the mix; the mould and the mix; the pigment; nothing for the limits of sealing. */
  @Keys({ most: 2 }) of: readonly string[];
}

/** Every figure that a workshop's own records taught. */
export interface LearnedView {
  readonly figures: readonly LearnedFigure[];
}
