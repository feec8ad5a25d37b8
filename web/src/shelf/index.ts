export { useShelf } from './use-shelf';
