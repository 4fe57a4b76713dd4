declare module 'ml-regression-theil-sen' {
  /** Line through points by the median of slopes between pairs. */
  export class TheilSenRegression {
    constructor(x: readonly number[], y: readonly number[]);
    readonly slope: number;
    readonly intercept: number;
  }
}
