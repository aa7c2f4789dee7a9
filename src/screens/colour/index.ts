export { ColourScreen } from './colour-screen';
