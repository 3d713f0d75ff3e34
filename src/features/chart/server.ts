export { chartMark } from './mark';
export { boardOfView, chartData, viewOf, type ChartData, type ChartView } from './queries';
export { zoomData, zoomFor } from './zoom';
export { zoomAnswer } from './zoom-answer';
