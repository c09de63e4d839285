/** A JPEG, PNG or WebP file, as it is. */
export type PhotoBytes = string;

/** A photograph as it is kept. A look cites it by its id. */
export interface PhotoKept {
  /** SHA-256 of what is kept. */
  readonly photoId: string;
  readonly width: number;
  readonly height: number;
}
