export { PicturesModule } from './pictures.module.js';
