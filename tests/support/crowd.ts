import { eq } from 'drizzle-orm';
import { heads, headMeasurements, outcomes, sets, setSections, zoneMeasurements } from '@/server/db/schema';
import type { Database } from '@/server/db/client';

/** Fills a studio up to many heads and sets by copying those that are there under new ids and names. */
export async function crowd(database: Database, toHeads: number, toSets: number): Promise<void> {
  await database.write(async (tx) => {
    const people = await tx.select().from(heads);
    const measured = await tx.select().from(headMeasurements);
    const zones = await tx.select().from(zoneMeasurements);
    const over = (await tx.select().from(sets)).filter((set) => set.endedAtMs !== null);
    const ends = await tx.select().from(outcomes);
    const copies: { id: string; measurementId: string }[] = [];
    for (let i = people.length; i < toHeads; i++) {
      const person = people[i % people.length]!;
      const measurement = measured.find((own) => own.headId === person.id)!;
      const [id, measurementId] = [`crowd-head-${i}`, `crowd-measurement-${i}`];
      await tx.insert(heads).values({ ...person, id, name: `${person.name} ${i}` });
      await tx.insert(headMeasurements).values({ ...measurement, id: measurementId, headId: id });
      await tx
        .insert(zoneMeasurements)
        .values(
          zones
            .filter((zone) => zone.measurementId === measurement.id)
            .map((zone) => ({ ...zone, measurementId })),
        );
      copies.push({ id, measurementId });
    }
    const count = (await tx.select({ id: sets.id }).from(sets)).length;
    for (let i = count; i < toSets; i++) {
      const set = over[i % over.length]!;
      const head = copies[i % copies.length]!;
      const id = `crowd-set-${i}`;
      await tx
        .insert(sets)
        .values({ ...set, id, headId: head.id, measurementId: head.measurementId, planId: null });
      const end = ends.find((own) => own.setId === set.id)!;
      await tx.insert(outcomes).values({ ...end, setId: id });
      const [section] = await tx.select().from(setSections).where(eq(setSections.setId, set.id)).limit(1);
      await tx.insert(setSections).values({ ...section!, setId: id });
    }
  });
}
