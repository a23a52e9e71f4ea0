import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import { pictureSchema, type Picture } from '@yardland/core';
import { map, type Observable } from 'rxjs';

/** Pictures of a job, kept by the server: resized, upright and without metadata. */
@Injectable({ providedIn: 'root' })
export class PicturesApi {
  readonly #http = inject(HttpClient);

  send(jobId: string, file: File): Observable<Picture> {
    return this.#http
      .post(`/api/jobs/${jobId}/pictures`, file, { headers: { 'content-type': file.type.startsWith('image/') ? file.type : 'image/unknown' } })
      .pipe(map((value) => pictureSchema.parse(value)));
  }

  address(id: string): string {
    return `/api/pictures/${id}`;
  }
}
