import { createHash, randomUUID } from 'node:crypto';
import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import express from 'express';
import { exportJWK, generateKeyPair, SignJWT } from 'jose';

/** Someone of the simulated institution. */
export interface Member {
  subject: string;
  name: string;
  email: string;
  verified: boolean;
}

/** What a code stands for until it is exchanged. */
interface Given {
  member: Member;
  nonce: string;
  challenge: string;
  back: string;
}

/** The client that it knows: set the same in HURROW_OIDC_CLIENT and HURROW_OIDC_SECRET. */
export const CLIENT = { id: 'hurrow', secret: 'only for trying out' };

/**
 * A simulated institution that vouches for made-up people by OpenID Connect, to try out and to test how Hurrow signs them in. It asks
 * nobody for a password: never let a real Hurrow trust it.
 *
 * @returns its address, which is its issuer, and what ends it
 */
export async function simulatedInstitution(members: readonly Member[], port = 0) {
  const { publicKey, privateKey } = await generateKeyPair('RS256');
  const key = { ...(await exportJWK(publicKey)), kid: 'one', alg: 'RS256', use: 'sig' };
  const codes = new Map<string, Given>();
  const app = express();
  const server = app.listen(port, '127.0.0.1');
  await once(server, 'listening');
  const issuer = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;

  app.get('/.well-known/openid-configuration', (_request, response) => {
    response.json({
      issuer,
      authorization_endpoint: `${issuer}/authorize`,
      token_endpoint: `${issuer}/token`,
      jwks_uri: `${issuer}/keys`,
      response_types_supported: ['code'],
      subject_types_supported: ['public'],
      id_token_signing_alg_values_supported: ['RS256'],
      code_challenge_methods_supported: ['S256'],
    });
  });
  app.get('/keys', (_request, response) => void response.json({ keys: [key] }));
  // A page with everyone on it; whoever is pressed is signed in.
  app.get('/authorize', (request, response) => {
    const {
      redirect_uri: back = '',
      state = '',
      nonce = '',
      code_challenge: challenge = '',
    } = request.query as Record<string, string>;
    const lines = members.map((member) => {
      const code = randomUUID();
      codes.set(code, { member, nonce, challenge, back });
      const address = new URL(back);
      address.search = new URLSearchParams({ code, state, iss: issuer }).toString();
      return `<li><a href="${String(address).replaceAll('&', '&amp;')}">${member.name}</a></li>`;
    });
    response
      .type('html')
      .send(
        `<!doctype html><title>Simulated institution</title><h1>Who are you?</h1><ul>${lines.join('')}</ul>`,
      );
  });
  app.post('/token', express.urlencoded({ extended: false }), async (request, response) => {
    const {
      code = '',
      code_verifier: verifier = '',
      redirect_uri: back,
    } = request.body as Record<string, string>;
    const given = codes.get(code);
    codes.delete(code);
    const right =
      given?.back === back && given?.challenge === createHash('sha256').update(verifier).digest('base64url');
    if (!given || !right) return void response.status(400).json({ error: 'invalid_grant' });
    const { subject, name, email, verified } = given.member;
    const token = await new SignJWT({ name, email, email_verified: verified, nonce: given.nonce })
      .setProtectedHeader({ alg: 'RS256', kid: 'one' })
      .setIssuer(issuer)
      .setSubject(subject)
      .setAudience(CLIENT.id)
      .setIssuedAt()
      .setExpirationTime('5m')
      .sign(privateKey);
    response.json({ access_token: randomUUID(), token_type: 'Bearer', expires_in: 300, id_token: token });
  });
  return { issuer, close: () => void server.close() };
}
