import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import { pictureSchema, type Picture } from '@yardland/core';
import { map, type Observable } from 'rxjs';

/** Pictures kept by the server: resized, upright and without metadata. */
@Injectable({ providedIn: 'root' })
export class PicturesApi {
  readonly #http = inject(HttpClient);

  /** Keeps a picture, of a job or of none. */
  send(jobId: string | null, file: File): Observable<Picture> {
    return this.#http
      .post(jobId === null ? '/api/pictures' : `/api/jobs/${jobId}/pictures`, file, {
        headers: { 'content-type': file.type.startsWith('image/') ? file.type : 'image/unknown' },
      })
      .pipe(map((value) => pictureSchema.parse(value)));
  }

  address(id: string): string {
    return `/api/pictures/${id}`;
  }
}
