export { PricesScreen } from './prices-screen';
