import { createHash, randomBytes } from 'node:crypto';
import type { NewSecondFactor } from '@keen/contract';
import { Secret, TOTP } from 'otpauth';
import QRCode from 'qrcode';

const ISSUER = 'Keen Groove';
const STEP_SECONDS = 30;
/** A clock may be off by this many steps either way. */
const SLACK_STEPS = 1;
const SECRET_BYTES = 20;
const RECOVERY_CODES = 10;
const RECOVERY_BYTES = 10;

const totpOf = (secret: string, label: string) =>
  new TOTP({
    issuer: ISSUER,
    label,
    algorithm: 'SHA1',
    digits: 6,
    period: STEP_SECONDS,
    secret: Secret.fromBase32(secret),
  });

/** A new key with what an authenticator app needs to take it in; stored only once it is confirmed. */
export async function newSecondFactor(label: string): Promise<NewSecondFactor> {
  const secret = new Secret({ size: SECRET_BYTES }).base32;
  const uri = totpOf(secret, label).toString();
  return { secret, uri, qrSvg: await QRCode.toString(uri, { type: 'svg', margin: 1 }) };
}

/**
 * Checks a code of six digits (RFC 6238).
 * @param lastStep - of the last code that was taken; none is taken twice
 * @returns the time step of the code, or null when it is wrong or was used before
 */
export function checkCode(
  secret: string,
  code: string,
  lastStep: number | null,
  now = Date.now(),
): number | null {
  const digits = code.replace(/\s/g, '');
  if (!/^\d{6}$/.test(digits)) return null;
  const delta = totpOf(secret, '').validate({ token: digits, window: SLACK_STEPS, timestamp: now });
  if (delta === null) return null;
  const step = Math.floor(now / 1000 / STEP_SECONDS) + delta;
  return lastStep !== null && step <= lastStep ? null : step;
}

/** Codes for a lost second factor: 80 random bits each, so that a plain hash of them will do. */
export function newRecoveryCodes(): { codes: string[]; hashes: string[] } {
  const codes = Array.from({ length: RECOVERY_CODES }, () =>
    (randomBytes(RECOVERY_BYTES).toString('hex').match(/.{5}/g) ?? []).join('-'),
  );
  return { codes, hashes: codes.map(recoveryHash) };
}

export function recoveryHash(code: string): string {
  return createHash('sha256')
    .update(code.toLowerCase().replace(/[^0-9a-f]/g, ''))
    .digest('hex');
}
