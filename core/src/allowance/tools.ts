import type { AssumptionKey, Constants } from '../shop/assumptions';

export const CUTTING_TOOLS = ['saw', 'knife', 'hot-wire'] as const;
export type CuttingTool = (typeof CUTTING_TOOLS)[number];

const KERFS: Record<CuttingTool, AssumptionKey> = { saw: 'sawKerfMm', knife: 'knifeKerfMm', 'hot-wire': 'wireKerfMm' };

/** Width of cut of a tool, mm: what a piece needs beside it on the sheet. */
export function kerfOf(tool: CuttingTool | undefined, assume: Constants): number {
  return assume(KERFS[tool ?? 'saw']);
}
