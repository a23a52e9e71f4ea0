import type { ValidationError } from '@angular/forms/signals';

/** What a form finds wrong with a field, as its control is given it. */
export type FormErrors = readonly ValidationError.WithOptionalFieldTree[];

/** The sentence a control shows: what cannot be read, or once the field has been left, what its form says against it. */
export function fieldProblem(unreadable: string | null, touched: boolean, errors: FormErrors): string | null {
  return unreadable ?? (touched ? (errors[0]?.message ?? null) : null);
}
