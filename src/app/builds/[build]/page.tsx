import { BenchPage } from '@/screens/bench';
import { buildTitle } from './build-title';
import { pageOfBuild } from './page-of-build';

export const generateMetadata = buildTitle('Bench');

export default pageOfBuild((opened, build) => <BenchPage key={build} {...opened} />);
