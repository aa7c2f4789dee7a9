export { TallyScreen } from './tally-screen';
