/** The part of the solver that the tests use; the package ships sources that strict settings refuse. */
export class Solver {
  constructor(dimensions: number);
  absoluteTolerance: number;
  relativeTolerance: number;
  denseOutput: boolean;
  solve(
    derivatives: (x: number, y: number[]) => number[],
    from: number,
    start: number[],
    to: number,
  ): { y: number[] };
}
