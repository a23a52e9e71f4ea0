import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { COVER_FINDINGS, keptCover, lookedOverCover, say, type CoverFinding } from '@yardland/core';
import { TextField } from '../shared/controls/text-field';
import { Tickbox } from '../shared/controls/tickbox';
import { Label, TrayPart } from '../shared/ui/ui';
import { COVER_FINDING_WORDS, COVER_VERDICT_WORDS } from './look-over-words';
import { KeptParts } from './kept-parts';
import { SeatEditor, toggled } from './seat-editor';

/** The old cover: which core it came off, and what becomes of it. */
@Component({
  selector: 'yl-old-cover-tray',
  imports: [KeptParts, Label, Tickbox, TextField],
  template: `
    <yl-text
      class="few"
      label="Came off core"
      [maxLength]="20"
      placeholder="its mark"
      [value]="edit.cover().offCore ?? ''"
      (valueChange)="edit.setCover('Which core it came off', { offCore: $event })"
    />
    <fieldset class="ticks flex flex-wrap">
      <legend ylLabel>The old cover</legend>
      @for (finding of findings; track finding.value) {
        <yl-tickbox [checked]="edit.cover().findings.includes(finding.value)" (checkedChange)="toggle(finding.value)">{{ finding.name }}</yl-tickbox>
      }
    </fieldset>
    @if (verdict(); as verdict) {
      <div
        class="pt-1.5 border-t border-t-line grid grid-cols-[repeat(auto-fit,minmax(13.75rem,1fr))] flex-[1_1_100%] gap-y-1 gap-x-6.5 [&_h3]:mb-0.5 [&_h3]:text-row [&_ul]:pl-4.5 [&_ul]:mb-1 [&_ul]:text-note [&_ul]:list-disc"
      >
        <section aria-label="Verdict on the old cover">
          <h3>{{ verdict.title }}</h3>
          <ul>
            @for (reason of verdict.reasons; track reason.what) {
              <li>{{ reason.what }} {{ reason.mend }}</li>
            } @empty {
              <li>Nothing speaks against it.</li>
            }
          </ul>
          @if (verdict.reusable) {
            <yl-tickbox [checked]="edit.cover().renew ?? false" (checkedChange)="setRenew(!edit.cover().renew)">make a new one all the same</yl-tickbox>
          }
        </section>
      </div>
      @if (renewed()) {
        <yl-kept-parts class="contents" />
      }
    }
  `,
  hostDirectives: [TrayPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class OldCoverTray {
  protected readonly edit = inject(SeatEditor);
  protected readonly findings = COVER_FINDINGS.map((value) => ({ value, name: COVER_FINDING_WORDS[value] }));
  protected readonly verdict = computed(() => {
    const cushion = this.edit.store.cushion();
    const judged = cushion ? lookedOverCover(cushion) : null;
    return (
      judged && {
        title: COVER_VERDICT_WORDS[judged.verdict],
        reusable: judged.verdict !== 'renew',
        reasons: judged.reasons.map((reason) => say(reason, this.edit.store.inWords())),
      }
    );
  });

  /** A new cover is made: what is good of the old one may go into it. */
  protected readonly renewed = computed(() => {
    const cushion = this.edit.store.cushion();
    return cushion?.seat?.oldCover !== undefined && keptCover(cushion) === null;
  });

  protected setRenew(renew: boolean): void {
    this.edit.setCover(renew ? 'A new cover' : 'The old cover goes back on', { renew });
  }

  protected toggle(finding: CoverFinding): void {
    this.edit.setCover('Old cover', { findings: toggled(this.edit.cover().findings, finding) });
  }
}
