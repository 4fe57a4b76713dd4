'use client';
import {
  followedSchool,
  questionsOf,
  schoolQuestion,
  type ChosenSchools,
  type SchoolQuestionId,
  type SchoolStep,
} from '@/core/schools/schools';
import type { DraftBrief } from '@/core/draft/draft-brief';
import styles from './schools.module.css';

/** Where practitioners differ in this step: every school in one line, and which is taken on this head. */
export function Schools({
  step,
  brief,
  remembered,
  onTake,
}: {
  step: string;
  brief: DraftBrief;
  remembered: ChosenSchools;
  onTake: (question: SchoolQuestionId, school: string) => void;
}) {
  return questionsOf(step as SchoolStep, brief.set.technique).map((id) => {
    const { label, schools } = schoolQuestion(id);
    const followed = followedSchool(id, brief, remembered);
    const isRemembered = followed !== null && remembered[id] === followed;
    return (
      <details key={id} className={styles.question}>
        <summary>
          {label}: <strong>{followed ? schools[followed]!.label : 'not decided'}</strong>
          {isRemembered && <span className={styles.kept}> · remembered for this head</span>}
        </summary>
        <fieldset>
          <legend className="visually-hidden">{label}</legend>
          {Object.entries(schools).map(([school, said]) => (
            <label key={school}>
              <input
                type="radio"
                name={`school-${id}`}
                checked={followed === school}
                onChange={() => onTake(id, school)}
                onClick={() => followed === school && !isRemembered && onTake(id, school)}
              />
              <span>
                <strong>{said.label}</strong>
                <small>{said.line}</small>
              </span>
            </label>
          ))}
        </fieldset>
      </details>
    );
  });
}
