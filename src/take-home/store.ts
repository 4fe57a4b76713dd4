import type { HomeDay, HomeEnd } from '@/core/take-home/diary-code';
import type { DiaryPage } from '@/core/take-home/diary-page';
import type { Half } from '@/core/hair/half';

/** What a diary holds on the phone. */
export interface Kept {
  by: string;
  days: HomeDay[];
  ends: HomeEnd[];
}

/** The entries of a diary, kept in the browser where it lets them be kept. */
export class Store {
  private readonly name: string;
  readonly kept: Kept;
  /** Whether entries outlive the page. */
  isKept = true;

  constructor(page: DiaryPage) {
    this.name = `keen-spiral-diary-${page.id}`;
    const before = this.read();
    const days = [...(before?.days ?? [])];
    for (const known of page.known)
      if (!days.some((own) => own.date === known.date && own.half === known.half)) days.push(known);
    this.kept = { by: before?.by ?? page.head, days, ends: before?.ends ?? [] };
    this.write();
  }

  private read(): Kept | null {
    try {
      const text = localStorage.getItem(this.name);
      return text ? (JSON.parse(text) as Kept) : null;
    } catch {
      return null;
    }
  }

  write(): void {
    try {
      localStorage.setItem(this.name, JSON.stringify(this.kept));
    } catch {
      this.isKept = false;
    }
  }

  day(date: string, half: Half): HomeDay | null {
    return this.kept.days.find((own) => own.date === date && own.half === half) ?? null;
  }

  change(date: string, half: Half, change: Partial<HomeDay>): void {
    const before: HomeDay = this.day(date, half) ?? {
      date,
      half,
      atMs: 0,
      ratings: {},
      night: null,
      deeds: [],
      redone: null,
      worn: null,
      note: '',
    };
    this.kept.days = [
      ...this.kept.days.filter((own) => own.date !== date || own.half !== half),
      { ...before, ...change, atMs: Date.now() },
    ].sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0));
    this.write();
  }
}
