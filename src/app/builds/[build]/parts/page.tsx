import { PartsPage } from '@/screens/parts';
import { buildTitle } from '../build-title';
import { pageOfBuild } from '../page-of-build';

export const generateMetadata = buildTitle('Parts');

export default pageOfBuild((opened, build) => <PartsPage key={build} {...opened} />);
