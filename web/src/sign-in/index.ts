export { DoorPage } from './sign-in-page';
