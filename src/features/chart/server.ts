export { chartData, zoomData, type ChartView } from './queries';
