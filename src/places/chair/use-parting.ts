'use client';
import { useEffect, useMemo, useState, type RefObject } from 'react';
import type { PartedView } from '@/core/plan/chair-parting';
import type { RunState } from '@/core/run/run-state';
import type { Forecaster } from '@/workers/client';
import type { ChairDeskProps, PartingNow } from './chair-set';
import { chairSections, toolsOf } from './chair-sections';

/**
 * The set with its parting as it is now. What was changed after the page was made is worked out beside it, also without
 * the server.
 */
export function useParting(
  { set, view, drawn }: Pick<ChairDeskProps, 'set' | 'view' | 'drawn'>,
  state: RunState,
  forecaster: RefObject<Forecaster | null>,
): Pick<ChairDeskProps, 'set' | 'view' | 'drawn'> & { readonly parting: PartingNow } {
  const { edits: said } = state.parting;
  const asked = said.map(({ id }) => id).join();
  const isServed = asked === set.partedBy.join();
  const edits = useMemo(() => said.map(({ edit }) => edit), [said]);
  const [worked, setWorked] = useState<{ readonly asked: string; readonly answer: PartedView } | null>(null);
  const text = JSON.stringify(edits);
  const { begunBrief } = set;
  const { dryTimes } = view;
  useEffect(() => {
    if (isServed) return;
    let isOver = false;
    void forecaster.current?.parted(begunBrief, JSON.parse(text) as typeof edits, dryTimes).then((answer) => {
      if (!isOver && answer.ok) setWorked({ asked, answer: answer.value });
    });
    return () => {
      isOver = true;
    };
  }, [asked, text, isServed, begunBrief, dryTimes, forecaster]);

  const answer = isServed ? null : (worked?.answer ?? null);
  const now = useMemo(() => {
    if (!answer) return { set, view, drawn };
    return {
      set: { ...set, ...chairSections(set, answer) },
      view: answer.view,
      drawn: answer.drawn,
    };
  }, [answer, set, view, drawn]);

  const done = [...state.doneAtMs.keys()];
  /** Other sizes of the tool of a section. */
  const otherSizesMm = (number: number) => {
    const section = now.set.sections[number];
    return section
      ? toolsOf(now.set, section.toolKind)
          .map(({ diameterMm }) => diameterMm)
          .filter((mm) => mm !== section.toolMm)
      : [];
  };
  // While it is worked out nothing stands that is not there any more.
  const { numbers } = state.parting;
  const isWorking = !isServed && worked?.asked !== asked;
  return {
    ...now,
    drawn: isWorking ? now.drawn.filter(({ number }) => numbers.includes(number)) : now.drawn,
    parting: {
      isWorking,
      choicesAt: async (section) =>
        (await forecaster.current?.partingChoices(begunBrief, edits, section, done, otherSizesMm(section))) ??
        [],
      holdsWithout: async (eventIds) =>
        (await forecaster.current?.partingProblem(
          begunBrief,
          said.flatMap(({ id, edit }) => (eventIds.includes(id) ? [] : [edit])),
        )) ?? null,
      rescuesOf: async (late) =>
        (await forecaster.current?.rescues({ ...late, brief: begunBrief, edits, done })) ?? [],
    },
  };
}
