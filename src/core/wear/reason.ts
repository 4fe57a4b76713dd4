/** One signed reason behind a number: what pushed it, by how much, and in words. */
export interface Reason {
  readonly factor: string;
  /** Points on a 0–10 scale, or a factor on days. */
  readonly effect: number;
  readonly text: string;
}
