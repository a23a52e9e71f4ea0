export function bundleServer(outdir: string): Promise<void>;
