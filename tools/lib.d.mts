export function packagesMatch(lock: object | null, installed: object | null): boolean;
export function sourcesHash(places?: readonly string[], base?: string): string;
