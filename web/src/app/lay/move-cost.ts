import { inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import type { LayRequest, Placement } from '@yardland/core';
import { auditTime, concat, filter, map, of, Subject, switchMap } from 'rxjs';
import { SolvePool } from '../job/solving/solve-pool';

/** While a piece is carried, a lay is asked for this often, ms, and with so many moves: an answer within a moment counts more than the best. */
const OFTEN_MS = 150;
const MOVES = 1500;

/** A lay with a piece held somewhere else, beside how long it is now, mm. */
export interface MoveAsked {
  readonly request: LayRequest;
  readonly held: Placement;
  readonly nowMm: number;
}

/** What a piece that is carried over the lay costs where it is: tried out in a worker, the newest place only. */
@Injectable()
export class MoveCost {
  readonly #pool = inject(SolvePool);
  readonly #asked = new Subject<(() => MoveAsked | null) | null>();
  #count = 0;

  /** How much longer the lay would be at most, mm, less than 0 where it would be shorter; null while nothing is carried or known. */
  readonly atMostMm = toSignal(
    this.#asked.pipe(
      auditTime(OFTEN_MS),
      map((ask) => ask?.() ?? null),
      switchMap((asked) => (asked ? this.#tried(asked) : of(null))),
    ),
    { initialValue: null },
  );

  /** A piece is carried; null: not any more. Where it may lie there is looked for only as often as a lay is tried. */
  carry(ask: (() => MoveAsked | null) | null): void {
    this.#asked.next(ask);
  }

  #tried({ request: { seeds: _seeds, ...request }, held, nowMm }: MoveAsked) {
    const others = request.pins.filter(({ item, copy }) => item !== held.item || copy !== held.copy);
    const solving = this.#pool.solve(`carried ${++this.#count}`, { ...request, pins: [...others, held], moves: MOVES });
    // Until there is an answer nothing is said of the place before.
    return concat(
      of(null),
      solving.pipe(
        map((says) => (says.kind === 'done' && says.answer.format === 'yardland/checked-lay@2' && !says.answer.problems.length ? says.answer.answer : null)),
        filter((answer) => answer !== null),
        map(({ lengthMm }) => lengthMm - nowMm),
      ),
    );
  }
}
