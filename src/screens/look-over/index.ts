export { LookOverPage } from './look-over-page';
