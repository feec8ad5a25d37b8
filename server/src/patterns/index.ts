export { PatternsModule } from './patterns.module.js';
export { PatternsService } from './patterns.service.js';
