import { CdkDrag, type CdkDragEnd } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal, viewChild, type ElementRef } from '@angular/core';
import { RouterLink } from '@angular/router';
import { minutesInWords } from '@yardland/core';
import { dayAfter, nextWorkDay, setupWords, stepWords } from '@yardland/core/schedule';
import { Choice, Switch, type Option } from '../shared/controls/choice';
import { Icon } from '../shared/icon';
import { ROOM_ICONS } from '../shared/room-icons';
import { Button, Tool, Words } from '../shared/ui/ui';
import { dayWords } from '../shared/words/days';
import { barsOf, timeAt, type Bar, type BarsBy } from './bars';
import { DayStore } from './day-store';

const WAYS: readonly Option<BarsBy>[] = [
  { value: 'person', name: 'by person' },
  { value: 'job', name: 'by job' },
];
/** Days shown at once, from the first. */
const SPANS: readonly Option<'7' | '14'>[] = [
  { value: '7', name: 'one week' },
  { value: '14', name: 'two' },
];
/** Heights of a lane, pixels: few people have more room each. */
const LANE_PX = { job: 48, leastOfPerson: 64, mostOfPerson: 112, ofAll: 450 } as const;

const SHORT = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' });

/** Weeks as bars, by person or by job: dragged to another day or person, or moved by keys. */
@Component({
  selector: 'yl-weeks-panel',
  imports: [CdkDrag, RouterLink, Choice, Switch, Icon, Button, Tool, Words],
  templateUrl: './weeks-panel.html',
  styles: `
    .bar {
      background: var(--color-linen);
      border-color: var(--color-line-strong);
    }
    /* A narrow bar says nothing: what would be seen of its words is no word. */
    .bar {
      container-type: inline-size;
    }
    @container (width < 46px) {
      .said {
        display: none;
      }
    }
    .works > i {
      background: var(--color-chalk);
    }
    .works > .cut {
      background: var(--color-madder);
    }
    .works > .prepare,
    .works > .fill {
      background: var(--color-straw-line);
    }
    .works > .hand {
      background: var(--color-sage-line);
    }
    .works > .staple {
      background: var(--color-ink);
    }
    .bar.pinned {
      border-width: 2px;
      border-color: var(--color-ink);
    }
    .bar.picked {
      background: var(--color-calico-deep);
    }
    .rests {
      background: repeating-linear-gradient(135deg, var(--color-line-strong) 0 1.5px, transparent 1.5px 7px);
    }
  `,
  host: { class: 'flex min-h-0 flex-1 flex-col' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class WeeksPanel {
  protected readonly icons = ROOM_ICONS;
  protected readonly store = inject(DayStore);
  private readonly field = viewChild<ElementRef<HTMLElement>>('field');
  protected readonly ways = WAYS;
  protected readonly by = signal<BarsBy>('person');
  protected readonly spans = SPANS;
  protected readonly span = signal<'7' | '14'>('7');
  protected readonly first = computed(() => this.store.day()?.from ?? '');
  protected readonly from = linkedSignal(() => this.first());
  protected readonly chosen = signal<string | null>(null);
  protected readonly laneOf = computed(() => {
    if (this.by() === 'job') return LANE_PX.job;
    const people = Math.max(1, this.store.day()?.people.length ?? 1);
    return Math.min(LANE_PX.mostOfPerson, Math.max(LANE_PX.leastOfPerson, LANE_PX.ofAll / people));
  });
  protected readonly picture = computed(() => {
    const day = this.store.day();
    return day ? barsOf(day, this.by(), this.from(), Number(this.span())) : null;
  });
  /** The bar in hand; the first of all until one is chosen. */
  protected readonly picked = computed(() => {
    const bars = this.picture()?.bars ?? [];
    const chosen = this.chosen();
    // Moved, its first step may go on with another bar: then that is the one in hand.
    const holds = ({ steps }: Bar): boolean => steps.some(({ job, step }) => chosen?.startsWith(`${job} ${step} `) ?? false);
    return bars.find(({ key }) => key === chosen) ?? bars.find(holds) ?? bars[0] ?? null;
  });
  /** People who do all that is in the bar in hand. */
  protected readonly able = computed<readonly Option[]>(() => {
    const steps = this.picked()?.steps ?? [];
    const people = this.store.day()?.people ?? [];
    return people.filter(({ does }) => steps.every((step) => does.includes(step.does))).map(({ name }) => ({ value: name, name }));
  });
  protected readonly top = computed(() => this.picture()?.marks.filter(({ row }) => row < 0) ?? []);
  protected readonly inRows = computed(() => {
    const picture = this.picture();
    return (picture?.marks ?? []).flatMap((mark) => (mark.row < 0 ? [] : [{ ...mark, top: picture?.rows[mark.row]?.top ?? 0 }]));
  });

  protected readonly words = (day: string): string => SHORT.format(new Date(`${day}T00:00:00Z`));

  protected said({ words, job, person, pinned, start, end }: Bar): string {
    return `${job}: ${words}, ${person}, ${dayWords(start.slice(0, 10))}, ${start.slice(11)} to ${end.slice(11)}${pinned ? ', put by hand' : ''}`;
  }

  protected details({ person, pinned, start, end }: Bar): string {
    const when = `${dayWords(start.slice(0, 10))}, ${start.slice(11)}–${end.slice(11)}`;
    return [person, when, pinned ? 'put by hand' : ''].filter(Boolean).join(' · ');
  }

  /** Its steps, each with its time and what it is done with. */
  protected stepsOf({ steps }: Bar): string[] {
    return steps.map((step) => {
      const rest = step.restsUntil === null ? '' : `rests until ${step.restsUntil.slice(11)}`;
      return [stepWords(step), minutesInWords(step.minutes), setupWords(step), rest].filter(Boolean).join(' · ');
    });
  }

  protected shift(days: number): void {
    const to = dayAfter(this.from(), days);
    this.from.set(to < this.first() ? this.first() : to);
  }

  /** The bar before or after the one in hand, as they are read. */
  protected choose(by: 1 | -1): void {
    const [bars, bar] = [this.picture()?.bars ?? [], this.picked()];
    const at = bars.findIndex(({ key }) => key === bar?.key);
    this.chosen.set(bars[(at + by + bars.length) % bars.length]?.key ?? null);
  }

  protected byDays(bar: Bar, by: 1 | -1): void {
    const day = this.store.day();
    if (day) this.#move(bar, bar.person, `${nextWorkDay(day, bar.person, bar.start.slice(0, 10), by)}T${day.starts}`);
  }

  protected give(bar: Bar, person: string): void {
    if (person !== bar.person) this.#move(bar, person, bar.start);
  }

  protected keep({ steps, person, start }: Bar): void {
    this.store.put(steps, { person, notBefore: start });
  }

  protected dropped({ source, distance }: CdkDragEnd, bar: Bar): void {
    const [day, picture, field] = [this.store.day(), this.picture(), this.field()?.nativeElement];
    source.reset();
    if (!day || !picture || !field || (Math.abs(distance.x) < 4 && Math.abs(distance.y) < 4)) return;
    this.chosen.set(bar.key);
    const at = timeAt(day, picture.columns, bar.left + (distance.x / field.clientWidth) * 100);
    const lane = bar.lane + 0.5 + distance.y / this.laneOf();
    const row = picture.rows.findIndex(({ top, lanes }) => lane >= top && lane < top + lanes);
    const person = this.by() === 'person' ? (picture.rows[row]?.name ?? bar.person) : bar.person;
    this.#move(bar, person, Math.abs(distance.x) < 4 ? bar.start : at);
  }

  protected key(event: KeyboardEvent, bar: Bar): void {
    const day = this.store.day();
    if (!day || event.ctrlKey || event.altKey || event.metaKey) return;
    const moves: Readonly<Record<string, () => void>> = {
      ArrowRight: () => this.byDays(bar, 1),
      ArrowLeft: () => this.byDays(bar, -1),
      ArrowDown: () => this.#other(bar, 1),
      ArrowUp: () => this.#other(bar, -1),
      Delete: () => this.store.put(bar.steps, {}),
      Backspace: () => this.store.put(bar.steps, {}),
    };
    const move = moves[event.key];
    if (!move) return;
    event.preventDefault();
    this.chosen.set(bar.key);
    move();
  }

  /** To the next of the people who do such things. */
  #other(bar: Bar, by: 1 | -1): void {
    const able = (this.store.day()?.people ?? []).filter(({ does }) => bar.steps.every((step) => does.includes(step.does))).map(({ name }) => name);
    const next = able[(able.indexOf(bar.person) + by + able.length) % able.length];
    if (next !== undefined && next !== bar.person) this.#move(bar, next, bar.start);
  }

  #move({ steps }: Bar, person: string, notBefore: string): void {
    const day = this.store.day();
    const does = day?.people.find(({ name }) => name === person)?.does ?? [];
    const not = steps.find((step) => !does.includes(step.does));
    if (not) {
      this.store.pushed.set(`${person} does not ${not.does}: say in How we work that they do, or give it to somebody who does.`);
      return;
    }
    const earliest = day ? `${day.from}T${day.now}` : notBefore;
    this.store.put(steps, { person, notBefore: notBefore < earliest ? earliest : notBefore });
  }
}
