export { BenchPage } from './bench-page';
