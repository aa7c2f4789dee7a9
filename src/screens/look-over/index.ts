export { LookOverScreen } from './look-over-screen';
