import { onPlot, plannedSize, plotOf, whatSticksOut } from '../../fit';
import { unknown, type Rule } from '../rule';

/** The build as planned stands within its plot, as Fit keeps it. */
export const withinThePlot: Rule = {
  id: 'within the plot',
  name: 'Within its plot',
  asks: 'nothing',
  ofBooks: (workbench) => {
    const plot = plotOf(workbench);
    if (plot.width === 0 || plot.depth === 0) return unknown('the plot, under Fit');
    const lies = onPlot(plot, plannedSize(workbench));
    if (!lies) return unknown('the size, under Fit');
    const out = whatSticksOut(workbench, plot).map((z) => z.name);
    return { holds: lies.fits && out.length === 0, is: null, where: out, breaks: [] };
  },
};
