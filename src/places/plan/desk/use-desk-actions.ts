'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { WeighedUnits } from '@/core/products/hand-units';
import type { ChosenSchools, SchoolQuestionId } from '@/core/schools/schools';
import { useAction } from '@/ui/hooks/use-action';
import { bookPlan, putAside, readMeasurement, rememberSchool, saveHandUnits, startSet } from '../actions';
import { withSchool } from '@/core/draft/edits';
import type { Draft } from '../use-draft';

/** What can be done with a plan beside changing it, and what the desk remembers of it. */
export function useDeskActions(
  draft: Draft,
  start: {
    readonly id: string;
    readonly headId: string;
    readonly isBooked: boolean;
    readonly hasNewerMeasurement: boolean;
    readonly schools: ChosenSchools;
    readonly handUnits: WeighedUnits;
  },
) {
  const { id } = start;
  const { content, edit } = draft;
  const router = useRouter();
  const { run, isBusy, errors } = useAction();
  const [isBooked, setBooked] = useState(start.isBooked);
  const [isNewer, setNewer] = useState(start.hasNewerMeasurement);
  const [schools, setSchools] = useState(start.schools);
  const [handUnits, setHandUnits] = useState(start.handUnits);
  return {
    isBusy,
    errors,
    isBooked,
    /** The head was measured again since the plan was made. */
    isNewer,
    schools,
    handUnits,
    takeToChair: () =>
      run(
        async () => {
          await draft.keep();
          return startSet({ id });
        },
        (set) => router.push(`/chair/${set.id}`),
      ),
    book: () =>
      run(
        () => bookPlan({ id, isBooked: !isBooked }),
        (kept) => setBooked(kept.isBooked),
      ),
    takeBack: () =>
      run(
        () => putAside({ id, isAside: false }),
        () => router.refresh(),
      ),
    compare: async () => {
      await draft.keep();
      router.push(`/plan/${id}/beside`);
    },
    takeSchool: (question: SchoolQuestionId, school: string) => {
      setSchools((before) => ({ ...before, [question]: school }));
      edit(withSchool(content, question, school));
      // A preference that is not remembered is asked again; the plan has it.
      void rememberSchool({ headId: start.headId, question, school }).catch(() => undefined);
    },
    weigh: (weighed: WeighedUnits) => {
      setHandUnits(weighed);
      return run(() => saveHandUnits({ handUnits: weighed }));
    },
    takeNewMeasurement: () =>
      run(
        () => readMeasurement({ id }),
        ({ head }) => {
          edit({ ...content, brief: { ...content.brief, head } });
          setNewer(false);
        },
      ),
  };
}

export type DeskActions = ReturnType<typeof useDeskActions>;
