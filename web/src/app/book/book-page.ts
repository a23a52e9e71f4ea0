import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Router } from '@angular/router';
import { Switch, type Option } from '../shared/controls/choice';
import { Room, RoomHead, RoomMain, Words } from '../shared/ui/ui';
import { Tape } from '../shell/tape';
import { ThemeButton } from '../shell/theme-button';
import { EntriesPanel } from './entries-panel';
import { LearntPanel } from './learnt-panel';
import { PointsPanel } from './points-panel';

type Part = 'entries' | 'points' | 'learnt';

const PARTS: readonly Option<Part>[] = [
  { value: 'entries', name: 'Entries' },
  { value: 'points', name: 'Promised and measured' },
  { value: 'learnt', name: 'What work teaches' },
];

/** What was made and what was learnt: the log, checks against promises, and what they teach. */
@Component({
  selector: 'yl-book-page',
  imports: [RoomMain, RoomHead, Words, Tape, ThemeButton, Switch, EntriesPanel, PointsPanel, LearntPanel],
  templateUrl: './book-page.html',
  hostDirectives: [Room],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class BookPage {
  readonly #router = inject(Router);
  /** From the address: which part is read, and the job whose page it is. */
  readonly read = input<string>();
  readonly job = input<string>();
  protected readonly parts = PARTS;
  protected readonly part = computed(() => PARTS.find(({ value }) => value === this.read())?.value ?? 'entries');

  protected show(read: Part): void {
    void this.#router.navigate([], { queryParams: { read: read === 'entries' ? null : read }, queryParamsHandling: 'merge' });
  }
}
