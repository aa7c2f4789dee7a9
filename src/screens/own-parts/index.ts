export { OwnPartsScreen } from './own-parts-screen';
