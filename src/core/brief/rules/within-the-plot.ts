import { standsOnPlot } from '../../fit';
import { unknown, type Rule } from '../rule';

/** The build as planned stands within its plot, as Fit says. */
export const withinThePlot: Rule = {
  id: 'within the plot',
  name: 'Within its plot',
  asks: 'nothing',
  ofBooks: (workbench) => {
    const { plot, fits, out } = standsOnPlot(workbench);
    if (plot.width === 0 || plot.depth === 0) return unknown('the plot, under Fit');
    if (fits === null) return unknown('the size, under Fit');
    return { holds: fits, is: null, where: out.map((z) => z.name), breaks: [] };
  },
};
