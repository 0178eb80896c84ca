import type { Request, Response } from 'express';
import * as oidc from 'openid-client';
import type { Config, Institution } from '../config.ts';
import type { Db } from '../db/index.ts';
import { accountByEmail, type AccountRow } from '../auth/queries.ts';
import * as queries from './queries.ts';

/** Where what a sign-in rests on is kept while the institution asks who it is. */
const COOKIE = 'hurrow-asked';
const PATH = '/api/session/institution';
const MINUTES = 10;

/** What is asked: an answer that does not hold it is not ours. */
interface Asked {
  state: string;
  nonce: string;
  verifier: string;
}

const found = new Map<string, Promise<oidc.Configuration>>();

/** What an institution says of itself, asked once; what failed is asked again. */
function discovered({ issuer, client, secret }: Institution): Promise<oidc.Configuration> {
  const held = found.get(issuer);
  if (held) return held;
  const local = /^http:\/\/(localhost|127\.0\.0\.1)(:|\/|$)/.test(issuer);
  const asked = oidc.discovery(new URL(issuer), client, secret, undefined, {
    timeout: 10,
    // Only where nobody is between: a simulated institution on this machine.
    ...(local ? { execute: [oidc.allowInsecureRequests] } : {}),
  });
  found.set(issuer, asked);
  asked.catch(() => found.delete(issuer));
  return asked;
}

const backAddress = (institution: Institution): string => `${institution.here}${PATH}/back`;

/** Sends a browser to the institution: authorization code with PKCE, state and nonce. */
export async function askInstitution(config: Config, response: Response): Promise<void> {
  const institution = config.institution!;
  const server = await discovered(institution);
  const asked: Asked = {
    state: oidc.randomState(),
    nonce: oidc.randomNonce(),
    verifier: oidc.randomPKCECodeVerifier(),
  };
  response.cookie(COOKIE, JSON.stringify(asked), {
    httpOnly: true,
    // Lax: the institution's page leads back here.
    sameSite: 'lax',
    secure: config.secure,
    path: PATH,
    maxAge: MINUTES * 60_000,
  });
  const address = oidc.buildAuthorizationUrl(server, {
    redirect_uri: backAddress(institution),
    scope: 'openid email profile',
    code_challenge: await oidc.calculatePKCECodeChallenge(asked.verifier),
    code_challenge_method: 'S256',
    state: asked.state,
    nonce: asked.nonce,
  });
  response.redirect(String(address));
}

/** Who the institution says someone is. */
export interface Vouched {
  subject: string;
  /** Only one that it has verified. */
  email: string | undefined;
}

/** Reads what the institution sends back: signature, audience, state and nonce are looked at. Rejects where any is not right. */
export async function institutionSays(
  config: Config,
  request: Request,
  response: Response,
): Promise<Vouched> {
  const institution = config.institution!;
  const asked = askedIn(request);
  response.clearCookie(COOKIE, { path: PATH });
  if (!asked) throw new Error('nothing was asked');
  const back = new URL(backAddress(institution));
  back.search = new URL(request.originalUrl, 'http://here').search;
  const tokens = await oidc.authorizationCodeGrant(await discovered(institution), back, {
    expectedState: asked.state,
    expectedNonce: asked.nonce,
    pkceCodeVerifier: asked.verifier,
    idTokenExpected: true,
  });
  const { sub, email, email_verified: verified } = tokens.claims()!;
  return { subject: sub, email: verified === true && typeof email === 'string' ? email : undefined };
}

function askedIn(request: Request): Asked | undefined {
  const pair = (request.headers.cookie ?? '').split(';').find((part) => part.trim().startsWith(`${COOKIE}=`));
  if (!pair) return undefined;
  try {
    return JSON.parse(decodeURIComponent(pair.trim().slice(COOKIE.length + 1))) as Asked;
  } catch {
    return undefined;
  }
}

/**
 * The account of someone whom the institution vouches for: the one that was found before, else that of the same verified e-mail, which is
 * theirs from now on. Nobody gets an account by it: the owner adds people.
 */
export async function accountOfVouched(
  db: Db,
  issuer: string,
  { subject, email }: Vouched,
): Promise<AccountRow | undefined> {
  const known = await queries.accountVouchedFor(db, issuer, subject);
  if (known) return known;
  const same = email === undefined ? undefined : await accountByEmail(db, email);
  if (same) await queries.addVouched(db, issuer, subject, same.id);
  return same;
}
