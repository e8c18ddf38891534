import type { CheckSignature } from '@harbor-latch/core/records/checkBundle';

const ED25519 = { name: 'Ed25519' };

/** Checks a signature by the browser’s own means, or where it has none of this kind, by one that ships with the application. */
export const checks: CheckSignature = async (key, message, signature) => {
  const bytes = (of: Uint8Array) => new Uint8Array(of);
  try {
    const own = await crypto.subtle.importKey('raw', bytes(key), ED25519, false, ['verify']);
    return await crypto.subtle.verify(ED25519, own, bytes(signature), bytes(message));
  } catch {
    const { ed25519 } = await import('@noble/curves/ed25519.js');
    return ed25519.verify(signature, message, key);
  }
};
