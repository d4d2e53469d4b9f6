import { useState } from 'react'
import type { FieldPath, FieldValues, UseFormReturn } from 'react-hook-form'
import { Refused } from '../sync/request'

/**
 * Sends a form: what the server says of a field shows at that field, and anything else as `problem`. Nothing typed is
 * lost.
 */
export function useSubmit<T extends FieldValues>(
  form: UseFormReturn<T>,
  send: (given: T) => Promise<void>,
): { readonly submit: () => void; readonly problem: string; readonly busy: boolean } {
  const [problem, setProblem] = useState('')
  const names: readonly string[] = Object.keys(form.getValues())
  const submit = form.handleSubmit(async (given) => {
    setProblem('')
    try {
      await send(given)
    } catch (error) {
      const fields = error instanceof Refused ? (error.problem.fields ?? []) : []
      const own = fields.filter(({ field }) => names.includes(field))
      for (const { field, message } of own) form.setError(field as FieldPath<T>, { message })
      if (own.length === 0) setProblem(error instanceof Error ? error.message : String(error))
    }
  })
  return {
    submit: () => {
      void submit()
    },
    problem,
    busy: form.formState.isSubmitting,
  }
}
