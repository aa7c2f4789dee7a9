import { TallyPage } from '@/screens/tally';
import { buildTitle } from '../build-title';
import { pageOfBuild } from '../page-of-build';

export const generateMetadata = buildTitle('Tally');

export default pageOfBuild((opened, build) => <TallyPage key={build} {...opened} />);
