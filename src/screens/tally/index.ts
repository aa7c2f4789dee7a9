export { TallyPage } from './tally-page';
