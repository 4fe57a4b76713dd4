'use client';
import { zodResolver } from '@hookform/resolvers/zod';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useForm, type FieldPath, type FieldValues } from 'react-hook-form';
import type { z } from 'zod';
import type { FieldError } from '@/core/formats/field-error';

type Answer =
  | { readonly ok: true }
  | { readonly ok: false; readonly code: string; readonly errors: readonly FieldError[] };

/**
 * A form of the shelf: checked by the same schema as on the server, kept, and back to the shelf. What is wrong
 * stands at its field; what belongs to none stands above.
 */
export function useShelfForm<V extends FieldValues>(
  schema: z.ZodType<unknown, V>,
  values: V,
  save: (card: V) => Promise<Answer>,
) {
  const router = useRouter();
  const form = useForm<V>({ values, resolver: zodResolver(schema as never) as never });
  const [problem, setProblem] = useState<string | null>(null);
  const submit = form.handleSubmit(async () => {
    setProblem(null);
    try {
      const answer = await save(form.getValues());
      if (answer.ok) return router.push('/shelf');
      if (answer.code === 'conflict') {
        return setProblem(
          'This was changed in another tab. What you typed is still here; open it again to see the other version',
        );
      }
      for (const { path, message } of answer.errors) {
        const field = path.replace(/^card\./, '');
        if (field in values) form.setError(field as FieldPath<V>, { message });
        else setProblem(message);
      }
    } catch {
      setProblem('No connection. What you typed is still here; try again');
    }
  });
  return { form, submit, problem, busy: form.formState.isSubmitting };
}
