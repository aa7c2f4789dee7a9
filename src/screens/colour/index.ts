export { ColourPage } from './colour-page';
