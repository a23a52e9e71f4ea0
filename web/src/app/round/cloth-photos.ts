import { inject, Injectable, signal } from '@angular/core';
import { Messages } from '../shared/messages';
import { PicturesApi } from '../shared/reading/pictures-api';

/** Pictures of cloths, fetched when a cushion in that cloth is first shown and kept while the application is open. */
@Injectable({ providedIn: 'root' })
export class ClothPhotos {
  readonly #api = inject(PicturesApi);
  readonly #messages = inject(Messages);
  /** By id; null while it is on its way, or where it cannot be had. */
  readonly #images = signal<ReadonlyMap<string, HTMLImageElement | null>>(new Map());
  readonly #asked = new Set<string>();

  /** A picture, once it is there; null before. Read again where signals are followed. */
  of(id: string, cloth: string): HTMLImageElement | null {
    if (!this.#asked.has(id)) {
      this.#asked.add(id);
      void this.#fetch(id, cloth);
    }
    return this.#images().get(id) ?? null;
  }

  async #fetch(id: string, cloth: string): Promise<void> {
    const image = new Image();
    image.src = this.#api.address(id);
    try {
      await image.decode();
      this.#images.update((known) => new Map(known).set(id, image));
    } catch {
      // Asked for again when a cushion is shown anew.
      this.#asked.delete(id);
      this.#messages.tell('round', `The picture of ${cloth} could not be loaded: its colour is shown instead.`);
    }
  }
}
