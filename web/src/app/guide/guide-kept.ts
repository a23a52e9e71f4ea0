/** What the browser keeps of the way in: the step of the first hour, and the practice job in hand. */
export interface Kept {
  readonly firstHour?: number;
  readonly practice?: string;
  /** Mistakes of it that were found. */
  readonly found?: readonly string[];
}

/** The application looks for it at its start, and names it itself so that it loads nothing for that. */
export const GUIDE_KEY = 'yardland.guide';

/** What is kept; nothing where it cannot be read. */
export function readGuide(): Kept {
  try {
    const { firstHour, practice, found } = JSON.parse(localStorage.getItem(GUIDE_KEY) ?? '{}') as Record<string, unknown>;
    return {
      ...(typeof firstHour === 'number' ? { firstHour } : {}),
      ...(typeof practice === 'string' ? { practice } : {}),
      ...(Array.isArray(found) ? { found: found.map(String) } : {}),
    };
  } catch {
    return {};
  }
}
