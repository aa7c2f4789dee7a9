export { PartsPage } from './parts-page';
