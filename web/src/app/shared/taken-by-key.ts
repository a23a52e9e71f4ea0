/**
 * A row of a dialog that is taken with a key pressed by itself. The key is the dialog's alone: the page behind, which goes to its stations by the same numbers, does not hear it.
 * Other keys go on as they are.
 */
export function takenByKey<T>(event: KeyboardEvent, rowOf: (key: string) => T | null | undefined, take: (row: T) => void): void {
  if (event.ctrlKey || event.metaKey || event.altKey) return;
  const row = rowOf(event.key);
  if (row === null || row === undefined) return;
  event.stopPropagation();
  take(row);
}
