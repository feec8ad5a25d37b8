export { ArticleSlab } from './article-slab';
export { FitForm } from './fit-form';
export { UnclampForm } from './unclamp-form';
