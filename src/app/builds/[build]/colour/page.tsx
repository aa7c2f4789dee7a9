import { ColourPage } from '@/screens/colour';
import { colourPageOpening } from '@/server/snapshot';
import { buildTitle } from '../build-title';
import { pageOpenedBy } from '../page-of-build';

export const generateMetadata = buildTitle('Colour');

export default pageOpenedBy(colourPageOpening, (opened, build) => <ColourPage key={build} {...opened} />);
