import { openShop, plan, type Plan, type Shop } from '@yardland/core';
import { applied, deltaOf, type Delta } from './delta';
import type { FromPlanning, ToPlan } from './messages';
import { PLAN_DEPTH, type DerivedPlan, type PlanSource } from './plan-source';
import { readAnswer } from './read-answer';

const derived = ({ job: _job, shop: _shop, ...rest }: Plan): DerivedPlan => rest;

/** What the computing core does in a thread of its own for the job in hand: plans it anew as it changes, and checks what the server says. */
export class PlanWork {
  #source: PlanSource | null = null;
  #shop: Shop | null = null;
  #plan: Plan | undefined;

  /** Answers a message. Never throws: a fault is an answer as well. */
  answer(message: ToPlan): FromPlanning {
    if (message.kind === 'read') {
      const { id } = message;
      try {
        return { kind: 'read', id, value: readAnswer(message.answer, message.value) };
      } catch (error) {
        return { kind: 'unreadable', id, message: String(error) };
      }
    }
    try {
      return { kind: 'planned', plan: this.#planned(message.source) };
    } catch (error) {
      return { kind: 'unplanned', message: String(error) };
    }
  }

  #planned(delta: Delta): Delta {
    const source = applied(this.#source, delta) as PlanSource;
    const shop = this.#shop && this.#source?.shop === source.shop ? this.#shop : openShop(source.shop);
    [this.#source, this.#shop] = [source, shop];
    const before = this.#plan;
    this.#plan = plan(source.job, shop, source.solved, before);
    return deltaOf(before && derived(before), derived(this.#plan), PLAN_DEPTH);
  }
}
