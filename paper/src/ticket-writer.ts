import type { CushionPlan, Plan } from '@yardland/core';
import { Writer, type Stamp } from './writer';

/** The paper of one cushion. */
export class TicketWriter extends Writer {
  constructor(
    plan: Plan,
    readonly one: CushionPlan,
    mark: string,
    stamp: Stamp,
  ) {
    super(
      plan,
      { title: one.source.name, aside: `× ${one.source.quantity}`, mark: `Stamp ${mark} · `, opens: `${plan.cushions.indexOf(one) + 1}/bench` },
      stamp,
    );
  }
}
