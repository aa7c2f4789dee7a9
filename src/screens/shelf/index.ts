export { ShelfScreen } from './shelf-screen';
