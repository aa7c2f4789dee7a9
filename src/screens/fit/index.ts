export { FitPage } from './fit-page';
