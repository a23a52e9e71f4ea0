import { ChangeDetectionStrategy, Component } from '@angular/core';
import { Words } from './words';

/** Stands where a part of a page was to come that is fetched when it is wanted, and could not be. */
@Component({
  selector: 'yl-not-fetched',
  imports: [Words],
  template: `<p ylWords role="status">
    This part could not be fetched: the server does not answer, or has been updated. Load the page again when it is back.
  </p>`,
  host: { class: 'contents' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class NotFetched {}
