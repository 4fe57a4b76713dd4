'use client';
import { useWatch } from 'react-hook-form';
import { DRAWER_KIND_IDS, toolKinds, type ToolKindId } from '@/core/techniques/tool-kind';
import type { Tool } from './shelf-types';
import { FormField } from '@/ui/fields/form-field';
import { FormSelect } from '@/ui/fields/form-select';
import { saveTool } from './actions';
import { ShelfForm } from './shelf-form';
import { toolForm, type ToolFormValues } from './shelf-input';
import { useShelfForm } from './use-shelf-form';
import styles from './shelf-form.module.css';

const NEW_SWATCH = '#8a5a9c';

const valuesOf = (tool: Tool | null): ToolFormValues => ({
  kind: (tool?.kind ?? DRAWER_KIND_IDS[0]) as ToolKindId,
  diameterMm: tool ? String(tool.diameterMm) : '',
  workingLengthMm: tool ? String(tool.workingLengthMm) : '',
  owned: tool ? String(tool.owned) : '',
  swatch: tool?.swatch ?? NEW_SWATCH,
});

/** The form of one size of tool. */
export function ToolForm({ tool }: { tool: Tool | null }) {
  const { id = null, revision = 0 } = tool ?? {};
  const { form, submit, ...frame } = useShelfForm(toolForm, valuesOf(tool), `tool.${id ?? 'new'}`, (card) =>
    saveTool({ id, revision, card }),
  );
  const { control } = form;
  const kind = useWatch({ control, name: 'kind' });
  return (
    <ShelfForm kind="tool" id={id} keep="Keep this size" {...frame} onSubmit={submit}>
      <div className={styles.fields}>
        <FormSelect
          control={control}
          name="kind"
          label="Kind"
          options={DRAWER_KIND_IDS.map((value) => ({ value, label: toolKinds[value].label }))}
        />
        <FormField
          control={control}
          name="diameterMm"
          label="Diameter, mm"
          decimal
          hint="across the middle, with callipers"
        />
        <FormField
          control={control}
          name="workingLengthMm"
          label={`${toolKinds[kind].lengthLabel}, mm`}
          decimal
          hint="what hair can lie on"
        />
        <FormField control={control} name="owned" label="How many" decimal />
        <FormField control={control} name="swatch" label="Its colour in your drawer" type="color" />
      </div>
      <p className={styles.hint}>Wash and disinfect tools between clients as your local board requires.</p>
    </ShelfForm>
  );
}
