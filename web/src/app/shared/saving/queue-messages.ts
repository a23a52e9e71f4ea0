import type { DocumentQueue } from './document-queue';
import type { Messages } from '../messages';

/**
 * Says what becomes of a document's changes: that they wait, were refused, or that another window changed the same, with a way to have this window's instead.
 * `about`: what the messages are about; `name`: what the document is called, as a sentence begins.
 */
export function tellOfQueue<D>(queue: DocumentQueue<D>, messages: Messages, about: string, name: string): void {
  queue.state$.subscribe((state) => {
    if (state === 'waiting')
      messages.warn(about, 'The Yardland server does not answer. What you change here is kept in this browser and goes out when it answers.');
  });
  queue.written$.subscribe(() => messages.settle(about));
  queue.refused$.subscribe((why) => messages.warn(about, why));
  queue.full$.subscribe(() => messages.warn(about, 'This browser has no room to keep what you changed until the server has it: leave the page open.'));
  // About something of its own: it is not settled by what is written next.
  queue.clash$.subscribe((clash) =>
    messages.ask(
      `${about}, changed twice`,
      `${name} was changed in another window too (${clash.names.join(', ')}): what was entered there is shown.`,
      'Take mine',
      () => clash.takeMine(),
    ),
  );
}
