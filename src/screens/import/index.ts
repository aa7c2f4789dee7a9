export { ImportScreen } from './import-screen';
