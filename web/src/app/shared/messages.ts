import { Injectable, signal } from '@angular/core';

/** Something said to the person, whatever page it came from. */
export interface Message {
  readonly id: number;
  /** What it is about: a later message about the same takes its place. */
  readonly about: string;
  readonly text: string;
  /** Something went wrong: it stays until it is put away. */
  readonly bad: boolean;
  /** What can be done about it, in a word. */
  readonly action: { readonly word: string; readonly act: () => void } | null;
}

/** A message that only tells what was done stays so long: time enough to read it and to reach its Undo. */
const STAYS_MS = 12_000;

/** The one place for messages to the person: what was done, with a way back, and what went wrong. Shown by `yl-messages`. */
@Injectable({ providedIn: 'root' })
export class Messages {
  readonly #all = signal<readonly Message[]>([]);
  readonly all = this.#all.asReadonly();
  #next = 1;

  /** What was done, with a way back where there is one. It goes by itself. */
  tell(about: string, text: string, undo: (() => void) | null = null): void {
    const id = this.#add({ about, text, bad: false, action: undo && { word: 'Undo', act: undo } });
    setTimeout(() => this.drop(id), STAYS_MS);
  }

  /** What went wrong and what to do about it. It stays until it is put away, or settled. */
  warn(about: string, text: string): void {
    this.#add({ about, text, bad: true, action: null });
  }

  /** Something to decide: it stays until it is put away, or done. */
  ask(about: string, text: string, word: string, act: () => void): void {
    this.#add({ about, text, bad: true, action: { word, act } });
  }

  /** Nothing is wrong any more about this. */
  settle(about: string): void {
    this.#all.update((all) => all.filter((one) => one.about !== about || !one.bad));
  }

  drop(id: number): void {
    this.#all.update((all) => all.filter((one) => one.id !== id));
  }

  #add(message: Omit<Message, 'id'>): number {
    const id = this.#next++;
    this.#all.update((all) => [...all.filter(({ about }) => about !== message.about), { ...message, id }]);
    return id;
  }
}
