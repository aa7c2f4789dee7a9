import { FitPage } from '@/screens/fit';
import { buildTitle } from '../build-title';
import { pageOfBuild } from '../page-of-build';

export const generateMetadata = buildTitle('Fit');

export default pageOfBuild((opened, build) => <FitPage key={build} {...opened} />);
