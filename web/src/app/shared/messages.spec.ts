import { TestBed } from '@angular/core/testing';
import { Messages } from './messages';
import { MessagesList } from '../shell/messages-list';

describe('messages to the person', () => {
  beforeEach(() => jasmine.clock().install());
  afterEach(() => jasmine.clock().uninstall());

  it('go by themselves when they only tell, and stay when something went wrong', () => {
    const messages = TestBed.inject(Messages);
    messages.tell('job', 'A was put away.', () => undefined);
    messages.warn('shop', 'The server does not answer.');
    jasmine.clock().tick(60_000);
    expect(messages.all().map(({ text }) => text)).toEqual(['The server does not answer.']);
    messages.settle('job');
    expect(messages.all().length).toBe(1);
    messages.settle('shop');
    expect(messages.all()).toEqual([]);
  });

  it('replace the one before about the same thing, and give their way back once', async () => {
    const fixture = TestBed.createComponent(MessagesList);
    const messages = TestBed.inject(Messages);
    let undone = 0;
    messages.tell('job', 'A was put away.');
    messages.tell('job', 'B was put away.', () => undone++);
    fixture.detectChanges();
    const root = fixture.nativeElement as HTMLElement;
    expect(root.textContent).not.toContain('A was put away.');
    expect(root.querySelector('[role=status]')?.textContent).toContain('B was put away.');
    root.querySelector('button')?.click();
    fixture.detectChanges();
    await Promise.resolve();
    expect(undone).toBe(1);
    expect(root.textContent?.trim()).toBe('');
  });
});
