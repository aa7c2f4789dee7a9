export { BenchScreen } from './bench-screen';
