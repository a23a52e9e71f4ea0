import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { Choice } from '../shared/controls/choice';
import { RoundLook, VIEWS, type ViewName } from './round-look';
import { RoundView, type RoundSubject } from './round-view';

/** Cushions in the round side by side, which turn together. */
@Component({
  selector: 'yl-side-by-side',
  imports: [RoundView, Choice],
  template: `
    <div class="grid grid-cols-[repeat(auto-fit,minmax(13.75rem,1fr))] gap-3" role="group" aria-label="Side by side, turned together">
      @for (one of shown(); track one.name) {
        <figure class="m-0">
          <yl-round-view class="h-52" [subject]="one.subject" [name]="one.name + ', in the round'" [says]="one.says" />
          <figcaption class="text-small">
            <b>{{ one.name }}</b>: <span class="text-ink-soft">{{ one.says }}</span>
          </figcaption>
        </figure>
      }
    </div>
    <yl-choice class="mt-2 w-48" label="Seen from" none="turned by hand" [options]="views" [value]="look.view()" (picked)="show($event)" />
  `,
  providers: [RoundLook],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SideBySide {
  protected readonly look = inject(RoundLook);
  readonly shown = input.required<readonly { readonly name: string; readonly says: string; readonly subject: RoundSubject }[]>();
  protected readonly views = VIEWS;

  protected show(name: ViewName): void {
    this.look.show(name);
  }
}
