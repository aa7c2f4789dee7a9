export { PartsScreen } from './parts-screen';
