/** Prints the table of docs/HEATWORK.md: each cone's fit and how far it is from the published end points. */
import { allFits, baselineOf } from '../src/core/heatwork';

const signed = (value: number): string => `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(1)}`;
console.log('| cone | E, kJ/mol | 15 °C/h | 60 °C/h | 150 °C/h | done when the cone below is down |');
console.log('| ---- | --------- | ------- | ------- | -------- | -------------------------------- |');
const misses: number[] = [];
for (const fit of allFits()) {
  const at = (rate: number): string => {
    const one = fit.residuals.find((residual) => residual.rate === rate);
    if (one === undefined) return '–';
    misses.push(one.fitted - one.table);
    return signed(one.fitted - one.table);
  };
  console.log(
    `| ${fit.cone.replace('.5', '½')} | ${Math.round(fit.e / 1000)} | ${at(15)} | ${at(60)} | ${at(150)} | ${baselineOf(fit.cone).toFixed(2)} |`,
  );
}
const rms = Math.sqrt(misses.reduce((sum, one) => sum + one * one, 0) / misses.length);
console.log(
  `\nRoot mean square ${rms.toFixed(1)} °C, largest ${Math.max(...misses.map(Math.abs)).toFixed(1)} °C.`,
);
