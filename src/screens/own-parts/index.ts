export { OwnPartsScreen } from './own-parts-screen';
export { PricesScreen } from '../prices/prices-screen';
