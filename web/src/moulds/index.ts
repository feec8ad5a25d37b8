export { LayeredSection } from './layered-section';
