export function packagesMatch(lock: object | null, installed: object | null): boolean;
export function sourcesHash(places?: readonly string[], base?: string): string;
export function titlesUnder(text: string, word: 'flaky' | 'failed'): string[];
export function failuresIn(text: string): string[];
