import { TestBed } from '@angular/core/testing';
import type { Sample, StoredSample } from '@yardland/core';
import { of, Subject } from 'rxjs';
import { WindowShelves } from '../shared/saving/window-shelves';
import { SamplesApi } from './samples-api';
import { SamplesStore } from './samples-store';

const sample = (name: string): Sample => ({ format: 'yardland/sample@1', name, date: '2026-11-30' }) as Sample;

/** A store over a server that keeps what is written at once, and answers lists when it is told to. */
function begun(): { readonly store: SamplesStore; readonly lists: Subject<readonly StoredSample[]>; readonly kept: Map<string, StoredSample> } {
  const lists = new Subject<readonly StoredSample[]>();
  const kept = new Map<string, StoredSample>();
  const api = {
    list: () => lists,
    write: (id: string, revision: number, written: Sample) => {
      const stored = { id, revision: revision + 1, sample: written } as StoredSample;
      kept.set(id, stored);
      return of(stored);
    },
  };
  const shelves = { ids: () => [], find: () => of(null), keep: () => of(undefined) };
  TestBed.configureTestingModule({
    providers: [
      { provide: SamplesApi, useValue: api },
      { provide: WindowShelves, useValue: shelves },
    ],
  });
  return { store: TestBed.inject(SamplesStore), lists, kept };
}
const names = (store: SamplesStore): string[] => store.samples().map((one) => one.sample.name);

describe('the samples of a window', () => {
  it('keep what was made and written while a list from before it was on its way', () => {
    const { store, lists, kept } = begun();
    store.load().subscribe();
    const id = store.add(sample('Offcut'));
    expect([...kept.keys()]).toEqual([id]);
    lists.next([{ id: '11111111-1111-4111-8111-111111111111', revision: 3, sample: sample('Old') } as StoredSample]);
    expect(names(store).sort()).toEqual(['Offcut', 'Old']);
  });

  it('keep what was changed and written meanwhile, and let go of what another window took away', () => {
    const { store, lists, kept } = begun();
    const id = store.add(sample('Offcut'));
    const before = [...kept.values()];
    store.load().subscribe();
    store.change(id, (one) => ({ ...one, name: 'Offcut, dry' }));
    lists.next(before);
    expect(names(store)).toEqual(['Offcut, dry']);
    store.load().subscribe();
    lists.next([]);
    expect(names(store)).toEqual([]);
  });
});
