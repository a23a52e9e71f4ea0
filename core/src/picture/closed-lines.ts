import { constructionOf } from '../cover/list';
import type { ClosedLines } from '../form/form';
import { shipped } from '../shop/assumptions';
import type { Cushion } from '../job/document';

/** What a cushion's construction leaves on it when it is closed, as far as that is known without planning it. */
export function closedLines({ construction }: Pick<Cushion, 'construction'>, widthMm: number): ClosedLines {
  return constructionOf(construction).lines(construction, { widthMm, assume: shipped });
}
