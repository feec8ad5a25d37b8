export { ArticleSlab } from './article-slab';
export { FittingsForm } from './fit-form';
export { UnclampForm } from './unclamp-form';
