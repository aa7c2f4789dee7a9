import { BriefPage } from '@/screens/brief';
import { buildTitle } from '../build-title';
import { pageOfBuild } from '../page-of-build';

export const generateMetadata = buildTitle('Brief');

export default pageOfBuild((opened, build) => <BriefPage key={build} {...opened} />);
