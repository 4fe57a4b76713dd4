/** Whether scores `a` are at least as good as `b` in everything and better in something; larger is better. */
const beats = (a: readonly number[], b: readonly number[]): boolean =>
  a.every((value, i) => value >= b[i]!) && a.some((value, i) => value > b[i]!);

/** Items that no other one beats, kept as they come: another is at least as good in everything and better in something. */
export class ParetoFront<T> {
  private kept: { readonly item: T; readonly own: readonly number[] }[] = [];

  /** @param scores of an item, larger is better; all of one length */
  constructor(private readonly scores: (item: T) => readonly number[]) {}

  add(item: T): void {
    const scored = this.scores(item);
    if (this.kept.some((other) => beats(other.own, scored))) return;
    this.kept = this.kept.filter((other) => !beats(scored, other.own));
    this.kept.push({ item, own: scored });
  }

  get items(): T[] {
    return this.kept.map(({ item }) => item);
  }
}
