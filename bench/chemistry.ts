import solver from 'javascript-lp-solver';
import { analyse, MATERIALS, OXIDES, recipeFor } from '../src/core/chemistry';
import { clock, median, report, type Bench } from './measure';

/** Chemistry against the bare matrix product, and the target search against the solver alone. */
export const benchChemistry: Bench = (_, sized) => {
  const many = sized(10_000, 100);
  const known = MATERIALS.flatMap(({ name, analysis }) => (analysis === null ? [] : [{ name, analysis }]));
  const recipes = Array.from({ length: many }, (_, i) =>
    known.slice(i % 20, (i % 20) + 8).map((one, j) => ({ ...one, amount: 1 + ((i * 7 + j * 13) % 40) })),
  );
  // The floor: amounts × oxides as plain arrays, with nothing made of the product.
  const matrices = recipes.map((recipe) => ({
    amounts: recipe.map(({ amount }) => amount),
    shares: recipe.map(({ analysis }) => OXIDES.map((oxide) => analysis.oxides[oxide] ?? 0)),
  }));
  const product = (): number => {
    let sum = 0;
    for (const { amounts, shares } of matrices) {
      const out = new Float64Array(OXIDES.length);
      for (let i = 0; i < amounts.length; i++)
        for (let j = 0; j < out.length; j++) out[j]! += amounts[i]! * shares[i]![j]!;
      sum += out[0]!;
    }
    return sum;
  };
  const rounds = Array.from({ length: sized(7, 2) }, () => [
    clock(() => recipes.map((recipe) => analyse(recipe))),
    clock(product),
  ]);
  report(
    `Chemistry of ${many} recipes, against the matrix product`,
    null,
    median(rounds.map(([ours]) => ours!)),
    median(rounds.map(([, floor]) => floor!)),
  );
  const shelf = known.slice(0, 12);
  const target = Object.fromEntries(
    Object.entries({ K2O: 0.2, Na2O: 0.1, CaO: 0.6, MgO: 0.1, Al2O3: 0.4, SiO2: 3.4 }).map(
      ([oxide, value]) => [oxide, { min: value, max: value }],
    ),
  );
  const inSolver: number[] = [];
  const whole: number[] = [];
  const original = solver.Solve.bind(solver);
  for (let i = 0; i < sized(40, 2); i++) {
    let spent = 0;
    solver.Solve = ((...args: Parameters<typeof original>) => {
      const began = performance.now();
      const answer = original(...args);
      spent += performance.now() - began;
      return answer;
    }) as typeof solver.Solve;
    whole.push(clock(() => recipeFor(shelf, target)));
    inSolver.push(spent);
  }
  solver.Solve = original;
  report(
    'Target to recipe over 12 materials, against the solver alone',
    null,
    median(whole),
    median(inSolver),
  );
  return Promise.resolve();
};
