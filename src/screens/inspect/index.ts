export { InspectPage } from './inspect-page';
