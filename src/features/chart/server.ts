export { boardOfView, chartData, zoomData, type ChartData, type ChartView } from './queries';
