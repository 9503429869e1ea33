import { gcm } from "@noble/ciphers/aes.js";

/**
 * Sealing what a device keeps: AES-256-GCM, a fresh nonce each time. At once and not in turns, so that what is
 * being typed can still be sealed while the page goes.
 */

export type Key = Uint8Array;

const NONCE_BYTES = 12;
export const KEY_BYTES = 32;

/** How often a password is hashed on its way to a key. Source: OWASP, PBKDF2 with SHA-256, 2023. */
export const ROUNDS = 600_000;

export function newKey(): Key {
  return crypto.getRandomValues(new Uint8Array(KEY_BYTES));
}

export function seal(key: Key, plain: Uint8Array): Uint8Array {
  const nonce = crypto.getRandomValues(new Uint8Array(NONCE_BYTES));
  const sealed = gcm(key, nonce).encrypt(plain);
  const whole = new Uint8Array(NONCE_BYTES + sealed.length);
  whole.set(nonce);
  whole.set(sealed, NONCE_BYTES);
  return whole;
}

/** What was sealed; throws where the key is another one, or a bit of it was changed. */
export function unseal(key: Key, whole: Uint8Array): Uint8Array {
  return gcm(key, whole.subarray(0, NONCE_BYTES)).decrypt(whole.subarray(NONCE_BYTES));
}

export function sealJson(key: Key, value: unknown): Uint8Array {
  return seal(key, new TextEncoder().encode(JSON.stringify(value)));
}

export function unsealJson(key: Key, whole: Uint8Array): unknown {
  return JSON.parse(new TextDecoder().decode(unseal(key, whole)));
}

export function fromHex(digits: string): Key {
  return Uint8Array.from(digits.match(/../g) ?? [], (pair) => Number.parseInt(pair, 16));
}

/** The key that a password opens: slow to make on purpose. */
export async function keyOfPassword(
  password: string,
  salt: Uint8Array,
  rounds = ROUNDS,
): Promise<Key> {
  const uint8Array = new TextEncoder().encode(password.normalize("NFC"));
  const base = await crypto.subtle.importKey("raw", uint8Array, "PBKDF2", false, ["deriveBits"]);
  const parts = { name: "PBKDF2", hash: "SHA-256", salt: salt as BufferSource, iterations: rounds };
  return new Uint8Array(await crypto.subtle.deriveBits(parts, base, KEY_BYTES * 8));
}
