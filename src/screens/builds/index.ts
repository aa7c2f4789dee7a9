export { BuildsScreen } from './builds-screen';
