import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { TRADES, type Trade } from '@yardland/core';
import { withWorker } from '@yardland/core/schedule';
import { NumberField } from '../shared/controls/number-field';
import { TextField } from '../shared/controls/text-field';
import { Tickbox } from '../shared/controls/tickbox';
import { Icon } from '../shared/icon';
import { Rows, Tool, Words } from '../shared/ui/ui';
import { dayWords, today } from '../shared/words/days';
import { DayStore } from './day-store';

const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;
const TRADE_WORDS: Readonly<Record<Trade, string>> = { cut: 'cuts', sew: 'sews', fill: 'fills', staple: 'staples' };

/** Who works when, what they do, days off; when the day starts, how many cutting tables and machines there are. */
@Component({
  selector: 'yl-people-panel',
  imports: [RouterLink, NumberField, TextField, Tickbox, Icon, Rows, Tool, Words],
  template: `
    <div class="mb-3 flex flex-wrap items-end gap-4 [&_.field-says:empty]:hidden">
      <yl-text class="w-36" label="The day starts" type="time" [value]="store.shopDay().starts" (valueChange)="starts($event)" />
      <yl-number
        class="w-36"
        label="Cutting tables"
        [whole]="true"
        [min]="1"
        [max]="20"
        [value]="store.shopDay().tables ?? 1"
        (entered)="places('tables', $event)"
      />
      <yl-number class="w-36" label="Machines" [whole]="true" [min]="1" [max]="20" [value]="machines()" (entered)="places('machines', $event)" />
      <p ylWords>
        People are named in the <a class="underline" routerLink="/stockroom">Stockroom</a>. Hours are counted from when the day starts, without a break.
      </p>
    </div>
    <div class="relative max-w-full min-w-0 overflow-x-auto">
      <table ylRows class="[&_td]:py-1.5! min-[56.3125rem]:min-w-220 [&_td]:align-top" aria-label="Who works when">
        <thead>
          <tr>
            <th scope="col">who</th>
            @for (weekday of weekdays; track weekday) {
              <th scope="col">{{ weekday }}</th>
            }
            <th scope="col">does</th>
            <th scope="col">days off, and other days</th>
          </tr>
        </thead>
        <tbody>
          @for (person of people(); track person.name) {
            <tr>
              <th scope="row" class="pt-4! align-top! text-body! font-bold! text-ink!">{{ person.name }}</th>
              @for (long of person.hours; track $index; let i = $index) {
                <td>
                  <yl-number
                    class="block w-18 [&_.field-says]:hidden"
                    [label]="person.name + ', hours on ' + weekdays[i]"
                    [bare]="true"
                    unit="h"
                    [min]="0"
                    [max]="16"
                    [value]="long"
                    (entered)="hours(person.name, i, $event)"
                  />
                </td>
              }
              <td class="min-w-52 [&_label]:min-h-9! [&>yl-tickbox]:inline-block [&>yl-tickbox]:w-24" role="group" [attr.aria-label]="person.name + ' does'">
                @for (trade of trades; track trade) {
                  <yl-tickbox [checked]="person.does.includes(trade)" (checkedChange)="does(person.name, trade, $event)">{{ tradeWords[trade] }}</yl-tickbox>
                }
              </td>
              <td class="min-w-52">
                <ul class="flex flex-wrap gap-1">
                  @for (day of person.away; track day.day) {
                    <li class="flex items-center rounded-full bg-linen pl-2.5 text-note shadow-card">
                      {{ day.words }}
                      <button
                        type="button"
                        ylTool="quiet"
                        [attr.aria-label]="'Take away: ' + person.name + ', ' + day.words"
                        (click)="drop(person.name, day.day)"
                      >
                        <svg ylIcon="x" size="16"></svg>
                      </button>
                    </li>
                  }
                </ul>
                <yl-text
                  class="w-40 [&_.field-says]:hidden"
                  [label]="'A day off for ' + person.name"
                  [bare]="true"
                  type="date"
                  value=""
                  (valueChange)="off(person.name, $event)"
                />
              </td>
            </tr>
          }
        </tbody>
      </table>
    </div>
  `,
  host: { class: 'block min-h-0 flex-1 overflow-y-auto pb-5' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PeoplePanel {
  protected readonly store = inject(DayStore);
  protected readonly weekdays = WEEKDAYS;
  protected readonly trades = TRADES;
  protected readonly tradeWords = TRADE_WORDS;
  protected readonly people = computed(() =>
    (this.store.day()?.people ?? []).map((one) => ({
      ...one,
      away: [
        ...one.off.map((day) => ({ day, words: `${dayWords(day)} off` })),
        ...one.otherwise.map(({ day, hours }) => ({ day, words: `${dayWords(day)} ${hours} h` })),
      ].filter(({ day }) => day >= today()),
    })),
  );
  protected readonly machines = computed(
    () => this.store.shopDay().machines ?? Math.max(1, (this.store.day()?.people ?? []).filter(({ does }) => does.includes('sew')).length),
  );

  protected starts(starts: string): void {
    if (/^([01]\d|2[0-3]):[0-5]\d$/.test(starts)) this.store.change((day) => ({ ...day, starts }));
  }

  protected places(what: 'tables' | 'machines', count: number): void {
    this.store.change((day) => ({ ...day, [what]: count }));
  }

  protected hours(name: string, weekday: number, hours: number): void {
    const now = this.people().find((one) => one.name === name)?.hours ?? [];
    this.store.change((day) => withWorker(day, name, { hours: now.map((one, i) => (i === weekday ? hours : one)) }));
  }

  protected does(name: string, trade: Trade, on: boolean): void {
    const now = this.people().find((one) => one.name === name)?.does ?? [];
    const next = TRADES.filter((one) => (one === trade ? on : now.includes(one)));
    // Somebody who does nothing is not in the plan at all: their hours say that.
    if (next.length) this.store.change((day) => withWorker(day, name, { does: next }));
  }

  protected off(name: string, on: string): void {
    const { off = [] } = this.people().find((one) => one.name === name) ?? {};
    if (on && !off.includes(on)) this.store.change((day) => withWorker(day, name, { off: [...off, on].sort() }));
  }

  protected drop(name: string, on: string): void {
    const { off = [], otherwise = [] } = this.people().find((one) => one.name === name) ?? {};
    this.store.change((day) => withWorker(day, name, { off: off.filter((one) => one !== on), otherwise: otherwise.filter((one) => one.day !== on) }));
  }
}
