import { CategoryScale, Chart, Filler, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js';

Chart.register(CategoryScale, LinearScale, LineElement, PointElement, Filler, Tooltip);

/** What every line chart is written in. Importing it registers what a line chart needs. */
export const CHART_FONT = { family: 'Hanken Grotesk Variable, sans-serif', size: 11 };
