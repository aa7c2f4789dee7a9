export { StoresScreen } from './stores-screen';
export { PricesScreen } from './prices-screen';
