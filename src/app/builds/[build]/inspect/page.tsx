import { InspectPage } from '@/screens/inspect';
import { buildTitle } from '../build-title';
import { pageOfBuild } from '../page-of-build';

export const generateMetadata = buildTitle('Inspect');

export default pageOfBuild((opened, build) => <InspectPage key={build} {...opened} />);
