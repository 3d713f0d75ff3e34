export { chartMark } from './mark';
export { boardOfView, chartData, zoomData, type ChartData, type ChartView } from './queries';
