'use client';
import { zodResolver } from '@hookform/resolvers/zod';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useForm, type FieldPath, type FieldValues } from 'react-hook-form';
import type { z } from 'zod';
import type { FieldError } from '@/core/formats/field-error';
import { sentence } from '@/core/words/words';
import { useUnsavedForm } from './use-unsaved-form';

type Answer<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly code: string; readonly errors: readonly FieldError[] };

/** What stands in the way of keeping a form and belongs to no field of it. */
export interface FormProblem {
  readonly text: string;
  /** Somebody else changed the same thing meanwhile. */
  readonly isConflict: boolean;
}

/**
 * The one pattern of every form: checked in the browser by the same schema as on the server, kept by an action, and
 * back to where `onKept` says. What is wrong stands at its field; what belongs to none is the `problem`. What is typed
 * outlives Back, a link and a reload of the tab, and is never lost to a refusal or a lost connection.
 *
 * @param schema what the form holds; the action reads it again by the same
 * @param values the form as it is opened
 * @param unsavedAs name of what is typed, such as "head.new"
 * @param onKept answers where to go, or null to stay
 */
export function useCheckedForm<V extends FieldValues, T>({
  schema,
  values,
  unsavedAs,
  save,
  onKept,
}: {
  schema: z.ZodType<unknown, V>;
  values: V;
  unsavedAs: string;
  save: (form: V) => Promise<Answer<T>>;
  onKept: (value: T) => string | null;
}) {
  const router = useRouter();
  const form = useForm<V>({
    defaultValues: values as never,
    resolver: zodResolver(schema as never) as never,
  });
  const unsaved = useUnsavedForm(unsavedAs, form);
  const [problem, setProblem] = useState<FormProblem | null>(null);
  const [isLeaving, setLeaving] = useState(false);

  /** The field an error of the server belongs to: its path, or its path within what was sent. */
  const fieldOf = (path: string) =>
    [path, path.slice(path.indexOf('.') + 1)].find((candidate) => candidate.split('.')[0]! in values);

  const submit = form.handleSubmit(async () => {
    setProblem(null);
    try {
      const answer = await save(form.getValues());
      if (answer.ok) {
        unsaved.forget();
        const href = onKept(answer.value);
        if (href === null) return;
        setLeaving(true);
        return router.push(href);
      }
      if (answer.code === 'conflict') {
        return setProblem({
          text: 'This was changed in another tab meanwhile. What you typed is still here; open it again to see the other version.',
          isConflict: true,
        });
      }
      for (const { path, message } of answer.errors) {
        const field = fieldOf(path);
        if (field) form.setError(field as FieldPath<V>, { message });
        else setProblem({ text: sentence(message), isConflict: false });
      }
    } catch {
      setProblem({ text: 'No connection. What you typed is still here; try again.', isConflict: false });
    }
  });
  return { form, submit, problem, busy: form.formState.isSubmitting || isLeaving, unsaved };
}
