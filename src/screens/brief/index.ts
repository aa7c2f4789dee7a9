export { BriefPage } from './brief-page';
