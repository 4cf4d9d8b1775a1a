import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import canonicalize from 'canonicalize';

/**
 * SHA-256 (FIPS 180-4) of a document written in the canonical form of JSON (RFC 8785), so that the order of its members does not matter.
 *
 * @returns 64 hexadecimal digits
 */
export const documentHash = (document: object): string => textHash(canonicalize(document) ?? '');

/** SHA-256 of a text in UTF-8. */
export const textHash = (text: string): string => bytesToHex(sha256(utf8ToBytes(text)));

/** SHA-256 of bytes. */
export const bytesHash = (bytes: Uint8Array): string => bytesToHex(sha256(bytes));
