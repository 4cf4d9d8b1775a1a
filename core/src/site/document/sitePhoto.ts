/** A photo of a bar, a rod, a bond, a point or a way. Its bytes are kept beside the document, its hash in it. */
export interface SitePhoto {
  /** Under which its bytes are kept in the job. */
  id: string;
  /** The node, bond, point or way which is on it; empty for the site. */
  about: string;
  /** SHA-256 of its bytes, hexadecimal. */
  sha256: string;
  caption?: string;
  by: string;
  /** ISO 8601. */
  at: string;
}

export const MAX_SITE_PHOTOS = 100;
