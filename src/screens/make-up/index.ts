export { MakeUpView } from './make-up-view';
export { useMakeUp, type MakeUpTools } from './use-make-up';
