export { DoorPage } from './door-page';
