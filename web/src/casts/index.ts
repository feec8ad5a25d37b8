export { CastActions } from './cast-actions';
export { colourToday, isDue, nextOf } from './reading';
export { stageWords } from './words';
