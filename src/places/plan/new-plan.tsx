'use client';
import { useState } from 'react';
import { SelectField } from '@/ui/fields/select-field';
import { NewPlanButton } from './new-plan-button';
import styles from './plans-page.module.css';

/** A new plan for a head chosen by name: a list of two hundred buttons is none. */
export function NewPlan({
  heads,
}: {
  heads: readonly { readonly id: string; readonly name: string; readonly description: string }[];
}) {
  const [headId, setHeadId] = useState(heads[0]?.id ?? '');
  return (
    <div className={styles.file}>
      <SelectField
        label="Plan a set for"
        value={headId}
        options={heads.map(({ id, name, description }) => ({
          value: id,
          label: description ? `${name}, ${description}` : name,
        }))}
        onChange={setHeadId}
      />
      <NewPlanButton headId={headId} label="Plan a set" />
    </div>
  );
}
