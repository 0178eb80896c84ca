import { CLIENT, simulatedInstitution } from './simulated.ts';

/** `npm run institution`: a simulated institution for the demo, on the port given. */
const port = Number(process.argv[2] ?? 4690);
const { issuer } = await simulatedInstitution(
  [
    { subject: 'q-1', name: 'Marisol Overbeck', email: 'overbeck@quillanridge.example', verified: true },
    { subject: 'q-2', name: 'Someone whom nobody has added', email: 'someone@example.org', verified: true },
  ],
  port,
);
console.log(`A simulated institution is at ${issuer}. Start Hurrow with

HURROW_OIDC_ISSUER=${issuer} HURROW_OIDC_CLIENT=${CLIENT.id} HURROW_OIDC_SECRET='${CLIENT.secret}' HURROW_OIDC_NAME='Quillan Ridge College' HURROW_URL=http://localhost:4680

and sign in through it. Stop it with Ctrl-C.`);
